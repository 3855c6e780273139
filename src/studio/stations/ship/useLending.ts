import { computed, ref, shallowRef } from 'vue'
import { lentPath, type Lending } from '../../../core/files/lending.ts'
import { useBench } from '../../store/bench.ts'

/** The server cannot be asked, or does not lend. */
const GONE = 'The server of Lucky Twin does not answer. Start it again with npm start, and try once more.'

/** How lending stands, as the server told it last. */
const lending = shallowRef<Lending | null>(null)
const problem = ref('')
/** by game: the token of its page, and the page that was lent */
const mine = shallowRef<Record<string, { token: string; html: string }>>({})

async function ask(path: string, init: RequestInit = {}): Promise<Response | null> {
  try {
    const answer = await fetch(`/lending${path}`, init)
    if (answer.ok) {
      problem.value = ''
      return answer
    }
    const isText = answer.headers.get('content-type')?.startsWith('text/plain')
    problem.value = isText ? `This page could not be lent: ${await answer.text()}` : GONE
  } catch {
    problem.value = GONE
  }
  return null
}

/** Pages that the server lends to other windows and devices: the page of the open game among them. */
export function useLending() {
  const bench = useBench()
  const own = computed(() => mine.value[bench.game!.id])
  const lent = computed(() => lending.value?.lent.find(({ token }) => token === own.value?.token))

  async function refresh(): Promise<void> {
    const answer = await ask('')
    if (!answer) return
    if (answer.headers.get('content-type')?.startsWith('application/json'))
      lending.value = (await answer.json()) as Lending
    else problem.value = GONE
  }
  /** Lends a page, or puts it in the place of the one that is lent. Out: its token, or null; then `problem` says why. */
  async function lend(html: string): Promise<string | null> {
    const { id, title } = bench.game!
    const known = mine.value[id]
    if (known?.html === html && lent.value) return known.token
    const request = { headers: { 'content-type': 'text/html' }, body: html }
    const query = `?title=${encodeURIComponent(title)}`
    const renewed =
      known && lent.value && (await ask(`/${known.token}${query}`, { method: 'PUT', ...request }))
    let token = renewed ? known.token : null
    if (!token) {
      const answer = await ask(query, { method: 'POST', ...request })
      token = answer ? ((await answer.json()) as { token: string }).token : null
    }
    if (token) mine.value = { ...mine.value, [id]: { token, html } }
    if (token) await refresh()
    return token
  }
  async function takeBack(token: string): Promise<void> {
    if (await ask(`/${token}`, { method: 'DELETE' })) await refresh()
  }
  /** The address at which this machine opens a lent page. */
  const hereAt = (token: string): string => `${lending.value?.here ?? ''}${lentPath(token)}`
  return { lending, problem, own, lent, refresh, lend, takeBack, hereAt }
}
