import { onBeforeUnmount, ref, shallowRef, watch, type Ref, type ShallowRef } from 'vue'
import type { Pair } from '../../../core/deck/pair.ts'
import type { Settings } from '../../../core/settings/settings.ts'
import { bare } from './bare.ts'
import type { Figures, FiguresInput } from './figures.worker.ts'
import { startJob, type Job } from './job.ts'

/** How long edits are waited out before the figures follow, in ms. */
const PAUSE = 60

/**
 * Figures of a level that may take long to work out: they follow its settings in a worker, and the next change ends the work on the last. `working`: what is
 * shown is not of the level as it is now.
 */
export function useFigures<What extends keyof Figures>(
  what: What,
  level: () => { pairs: readonly Pair[]; settings: Settings },
): { figures: Readonly<ShallowRef<Figures[What] | null>>; working: Readonly<Ref<boolean>> } {
  const figures = shallowRef(null) as ShallowRef<Figures[What] | null>
  const working = ref(true)
  let job: Job<Figures[What]> | null = null
  let timer = 0

  function run(): void {
    const { pairs, settings } = level()
    const mine = startJob<FiguresInput, Figures[What]>(
      new Worker(new URL('./figures.worker.ts', import.meta.url), { type: 'module' }),
      { what, pairs: bare(pairs), settings },
    )
    job = mine
    mine.done.then(
      (found) => {
        figures.value = found
        working.value = false
      },
      () => undefined,
    )
  }
  watch(
    () => {
      const { pairs, settings } = level()
      return [pairs, settings]
    },
    () => {
      job?.cancel()
      working.value = true
      clearTimeout(timer)
      timer = window.setTimeout(run, PAUSE)
    },
    { immediate: true },
  )
  onBeforeUnmount(() => {
    clearTimeout(timer)
    job?.cancel()
  })
  return { figures, working }
}
