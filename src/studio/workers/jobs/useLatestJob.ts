import { onBeforeUnmount, watch } from 'vue'
import type { Job } from './job.ts'

/**
 * Work that follows a value in a worker: the next change ends the work on the last. In: what is followed; how long changes are waited out, in ms; what is told at every change;
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

  function run(): void {
    job = options.start()
    // a job that was ended has no answer
    job?.done.then(options.take, () => undefined)
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
      timer = window.setTimeout(run, options.pause)
    },
    { immediate: true },
  )
  onBeforeUnmount(stop)
}
