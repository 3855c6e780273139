import { ref, shallowRef, type Ref, type ShallowRef } from 'vue'
import type { Pair } from '../../../core/deck/pair.ts'
import type { Settings } from '../../../core/settings/settings.ts'
import { lightPairs } from './for-worker.ts'
import { startJob } from './job.ts'
import type { JobOutput } from './jobs.worker.ts'
import { useLatestJob } from './useLatestJob.ts'

/** How long to wait after an edit before the figures follow, in ms. */
const PAUSE = 60

/**
 * Figures of a level that may take long to work out: they follow its settings in a worker, and the next change cancels
 * the work on the last. `working`: the shown figures are not of the level as it is now.
 */
export function useFigures<Name extends 'dealFigures' | 'ruleFigures'>(
  name: Name,
  level: () => { pairs: readonly Pair[]; settings: Settings },
): { figures: Readonly<ShallowRef<JobOutput<Name> | null>>; working: Readonly<Ref<boolean>> } {
  const figures = shallowRef(null) as ShallowRef<JobOutput<Name> | null>
  const working = ref(true)
  useLatestJob<JobOutput<Name>>({
    follow: () => {
      const { pairs, settings } = level()
      return [pairs, settings]
    },
    pause: PAUSE,
    changed: () => (working.value = true),
    start: () => {
      const { pairs, settings } = level()
      return startJob(name, { pairs: lightPairs(pairs), settings })
    },
    take: (found) => {
      figures.value = found
      working.value = false
    },
    failed: () => {
      figures.value = null
      working.value = false
    },
  })
  return { figures, working }
}
