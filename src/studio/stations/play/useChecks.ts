import { onBeforeUnmount, ref, shallowRef, watch } from 'vue'
import type { Checked } from '../../../core/game/check.ts'
import type { Game } from '../../../core/game/game.ts'
import { bareGame } from '../../workers/jobs/bare.ts'
import { startJob, type Job } from '../../workers/jobs/job.ts'

/** How long edits are waited out before the checks run again, in ms. */
const PAUSE = 250

/** The kept checks of a game, run again in a worker after every change of it. */
export function useChecks(game: () => Game) {
  const checked = shallowRef<ReadonlyMap<string, Checked>>(new Map())
  /** how many are run by now; null when all are */
  const running = ref<number | null>(null)
  let job: Job<Checked[]> | null = null
  let timer = 0

  function run(): void {
    job?.cancel()
    const count = game().checks?.length ?? 0
    if (!count) {
      running.value = null
      checked.value = new Map()
      return
    }
    running.value = 0
    const mine = startJob<Game, Checked[]>(
      new Worker(new URL('../../workers/jobs/checks.worker.ts', import.meta.url), { type: 'module' }),
      bareGame(game()),
      (share) => (running.value = Math.round(share * count)),
    )
    job = mine
    mine.done.then(
      (all) => {
        checked.value = new Map(all.map((one) => [one.id, one]))
        running.value = null
      },
      () => undefined,
    )
  }
  watch(
    game,
    () => {
      clearTimeout(timer)
      timer = window.setTimeout(run, PAUSE)
    },
    { immediate: true },
  )
  onBeforeUnmount(() => {
    clearTimeout(timer)
    job?.cancel()
  })
  return { checked, running }
}
