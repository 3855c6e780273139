import { onBeforeUnmount, watch } from 'vue'
import type { Job } from './job.ts'

/** Work that takes long waits for a longer rest, up to so many ms, so that it does not slow the next edit of quick hands. */
const LONGEST_REST = 250

/**
 * Work that follows a value in a worker: the next change ends the work on the last. In: what is followed; how long changes are waited out at least, in ms; what is told at every change;
 * what starts the work, or gives null where there is none to do; what takes its answer.
 */
export function useLatestJob<Out>(options: {
  follow: () => unknown
  pause: number
  changed?: () => void
  start: () => Job<Out> | null
  take: (out: Out) => void
}): void {
  let job: Job<Out> | null = null
  let timer = 0
  /** what the last work took, in ms */
  let took = 0

  function run(): void {
    const began = performance.now()
    job = options.start()
    job?.done.then(
      (out) => {
        took = performance.now() - began
        options.take(out)
      },
      // a job that was ended has no answer
      () => undefined,
    )
  }
  function stop(): void {
    clearTimeout(timer)
    job?.cancel()
  }
  watch(
    options.follow,
    () => {
      stop()
      options.changed?.()
      timer = window.setTimeout(run, Math.max(options.pause, Math.min(took, LONGEST_REST)))
    },
    { immediate: true },
  )
  onBeforeUnmount(stop)
}
