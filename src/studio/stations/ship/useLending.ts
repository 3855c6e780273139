import { computed, ref, shallowRef } from 'vue'
import { lentPath, type Lending } from '../../../core/files/lending.ts'
import { useBench } from '../../store/bench.ts'
import { SERVER_GONE } from '../../store/faults.ts'
import { HERE, isTexts, useChoice } from '../../parts/settings/useChoice.ts'

/** How lending stands, as the server told it last. */
const lending = shallowRef<Lending | null>(null)
const problem = ref('')
/** by game: the token of its page; it is still known when the studio is opened again */
const tokens = useChoice<Record<string, string>>('lent', {}, isTexts, HERE)
/** by token: the page that was lent from this window */
const pages = shallowRef<Record<string, string>>({})

async function ask(path: string, init: RequestInit = {}): Promise<Response | null> {
  try {
    const answer = await fetch(`/lending${path}`, init)
    if (answer.ok) {
      problem.value = ''
      return answer
    }
    const isText = answer.headers.get('content-type')?.startsWith('text/plain')
    problem.value = isText ? `This page could not be lent: ${await answer.text()}` : SERVER_GONE
  } catch {
    problem.value = SERVER_GONE
  }
  return null
}

/** Pages that the server lends to other windows and devices: the page of the open game among them. */
export function useLending() {
  const bench = useBench()
  const lent = computed(() => lending.value?.lent.find(({ token }) => token === tokens.value[bench.game!.id]))
  /** the page that is lent, if this window lent it */
  const lentPage = computed(() => lent.value && pages.value[lent.value.token])

  async function refresh(): Promise<void> {
    const answer = await ask('')
    if (!answer) return
    if (answer.headers.get('content-type')?.startsWith('application/json'))
      lending.value = (await answer.json()) as Lending
    else problem.value = SERVER_GONE
  }
  /**
   * Lends a page, or puts it in the place of the one that is lent. Out: its token, or null; then `problem` says why.
   */
  async function lend(html: string): Promise<string | null> {
    const { id, title } = bench.game!
    const oldToken = lent.value?.token
    if (oldToken && lentPage.value === html) return oldToken
    const request = { headers: { 'content-type': 'text/html' }, body: html }
    const query = `?title=${encodeURIComponent(title)}`
    const renewed = oldToken && (await ask(`/${oldToken}${query}`, { method: 'PUT', ...request }))
    let token = renewed ? oldToken : null
    if (!token) {
      const answer = await ask(query, { method: 'POST', ...request })
      token = answer ? ((await answer.json()) as { token: string }).token : null
    }
    if (!token) return null
    tokens.value = { ...tokens.value, [id]: token }
    pages.value = { ...pages.value, [token]: html }
    await refresh()
    return token
  }
  async function takeBack(token: string): Promise<void> {
    if (await ask(`/${token}`, { method: 'DELETE' })) await refresh()
  }
  /** The address at which this machine opens a lent page. */
  const hereAt = (token: string): string => `${lending.value?.here ?? ''}${lentPath(token)}`
  return { lending, problem, lentPage, lent, refresh, lend, takeBack, hereAt }
}
