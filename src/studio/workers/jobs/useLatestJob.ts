import { onBeforeUnmount, watch } from 'vue'
import { Cancelled, type Job } from './job.ts'
import { debounceTime } from './debounce.ts'

/**
 * Keeps a worker's answer up to date with a value: each change cancels the work on the one before. In: the value to
 * follow; the least wait after a change, in ms; a function to call at every change; one that starts the work, or gives
 * null if there is nothing to do; one that takes the answer; one to call where there will be none, since the worker
 * made a mistake.
 */
export function useLatestJob<Out>(options: {
  follow: () => unknown
  pause: number
  changed?: () => void
  start: () => Job<Out> | null
  take: (out: Out) => void
  failed?: () => void
}): void {
  let job: Job<Out> | null = null
  let timer = 0
  /** how long the last work took, in ms */
  let took = 0

  function run(): void {
    const began = performance.now()
    job = options.start()
    job?.done.then(
      (out) => {
        took = performance.now() - began
        options.take(out)
      },
      (error: unknown) => {
        if (error instanceof Cancelled) return
        options.failed?.()
        // nobody else tells of it
        reportError(error)
      },
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
      timer = window.setTimeout(run, debounceTime(options.pause, took))
    },
    { immediate: true },
  )
  onBeforeUnmount(stop)
}
