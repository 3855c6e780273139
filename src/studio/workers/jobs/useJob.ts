import { onBeforeUnmount, ref } from 'vue'
import { Cancelled, type Job } from './job.ts'

/**
 * One job at a time of a part of the page: a new one cancels the one before, and so does leaving. `share` is what is
 * done of it, 0 to 1, or null while there is none. `run` starts one; it gives the job's answer, or null if it was
 * cancelled or failed, which `fail` is told in words.
 */
export function useJob(fail: (message: string) => void) {
  const share = ref<number | null>(null)
  let current: Job<unknown> | null = null
  function cancel(): void {
    current?.cancel()
    current = null
    share.value = null
  }
  async function run<Out>(start: (progress: (share: number) => void) => Job<Out>): Promise<Out | null> {
    cancel()
    share.value = 0
    const job: Job<Out> = start((done) => {
      if (current === job) share.value = done
    })
    current = job
    try {
      const out = await job.done
      return current === job ? out : null
    } catch (error) {
      if (!(error instanceof Cancelled)) fail((error as Error).message)
      return null
    } finally {
      if (current === job) cancel()
    }
  }
  onBeforeUnmount(cancel)
  return { share, run, cancel }
}
