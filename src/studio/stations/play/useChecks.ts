import { ref, shallowRef } from 'vue'
import { passed, type CheckOutcome } from '../../../core/game/check.ts'
import type { Game } from '../../../core/game/game.ts'
import { bareGame } from '../../workers/jobs/for-worker.ts'
import { startJob } from '../../workers/jobs/job.ts'
import { useLatestJob } from '../../workers/jobs/useLatestJob.ts'

/** How long to wait after an edit before the checks run again, in ms. */
const PAUSE = 250

/** The kept checks of a game, run again in a worker after every change. */
export function useChecks(game: () => Game) {
  const outcomes = shallowRef<ReadonlyMap<string, CheckOutcome>>(new Map())
  /** how many have run so far; null when all have */
  const running = ref<number | null>(null)
  useLatestJob<CheckOutcome[]>({
    follow: game,
    pause: PAUSE,
    start: () => {
      const count = game().checks?.length ?? 0
      running.value = count ? 0 : null
      if (!count) {
        outcomes.value = new Map()
        return null
      }
      return startJob('runChecks', bareGame(game()), {
        progress: (share) => (running.value = Math.round(share * count)),
      })
    },
    take: (all) => {
      outcomes.value = new Map(all.map((one) => [one.id, one]))
      running.value = null
    },
    failed: () => (running.value = null),
  })
  return { checked: outcomes, running }
}

/** The state of a check: not run yet, as expected, or not. */
export const stateOf = (outcome: CheckOutcome | undefined): 'waits' | 'holds' | 'fails' =>
  !outcome ? 'waits' : passed(outcome) ? 'holds' : 'fails'
