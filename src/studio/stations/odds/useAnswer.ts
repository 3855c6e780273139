import { ref, shallowRef } from 'vue'
import { SEED } from '../../../core/odds/games.ts'
import { plain } from '../../workers/jobs/for-worker.ts'
import { askOdds } from '../../workers/jobs/odds.ts'
import { useLatestJob } from '../../workers/jobs/useLatestJob.ts'
import type { OddsAnswers, OddsInput, OddsQuestion } from '../../workers/jobs/work/odds.ts'
import type { OddsSubject } from './useOddsSubject.ts'

/** How long to wait for another change of the question, in ms. */
const PAUSE = 120
type Question<Ask extends OddsQuestion['ask']> = Extract<OddsQuestion, { ask: Ask }>
/** How many answers are kept during a visit, by their question. */
const KEPT = 60
const cache = new Map<string, unknown>()

/**
 * The answer to a question about the current figures, worked out in a worker; a new question cancels the work on the
 * last. `question` gives null while there is nothing to ask. `ladder`: the question is about all levels.
 */
export function useAnswer<Ask extends OddsQuestion['ask']>(
  subject: () => OddsSubject,
  question: () => Question<Ask> | null,
  ladder = false,
) {
  const answer = shallowRef<OddsAnswers[Ask] | null>(null)
  const working = ref(false)
  const done = ref(0)
  const inputOf = (): OddsInput | null => {
    const asking = question()
    const { pairs, levels, ...level } = subject()
    const tables = (ladder ? levels : [level]).map(({ settings, rivals }) => ({ settings, rivals }))
    return asking && { pairs, levels: tables, seed: SEED, ...plain(asking) }
  }
  let input: OddsInput | null = null
  let key = ''
  useLatestJob<OddsAnswers[Ask]>({
    follow: () => [subject(), question()],
    pause: PAUSE,
    changed: () => {
      input = inputOf()
      key = JSON.stringify(input)
      const cached = cache.get(key) as OddsAnswers[Ask] | undefined
      answer.value = cached ?? null
      done.value = 0
      working.value = input !== null && cached === undefined
    },
    start: () => {
      if (!input || !working.value) return null
      return askOdds<Ask>(input, (share) => (done.value = share))
    },
    take: (result) => {
      cache.set(key, result)
      for (const oldest of cache.keys()) if (cache.size > KEPT) cache.delete(oldest)
      answer.value = result
      working.value = false
    },
    failed: () => (working.value = false),
  })
  return { answer, working, done }
}
