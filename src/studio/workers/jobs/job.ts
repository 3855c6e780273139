import { lostPart, workerError } from '../../store/faults.ts'
import type { JobInput, JobName, JobOutput } from './jobs.worker.ts'
import type { Answer, Report } from './work/messages.ts'

/** Work in a worker, as one typed call with progress and cancel. */
export type Job<Out> = { done: Promise<Out>; cancel: () => void }

const MOST_WORKERS = 4
/** How many workers share a job: as many as the machine has cores, up to four. */
export const workerCount = (): number =>
  Math.max(1, Math.min(MOST_WORKERS, navigator.hardwareConcurrency || 1))

/** A job that its user cancelled. */
export class Cancelled extends Error {}

/**
 * Starts a job in a worker of its own, which ends with its answer or when it is cancelled. `progress` gets the share
 * done, 0 to 1; `part` what the worker gives before its answer; buffers in `handOver` leave the page.
 */
export function startJob<Name extends JobName, Part = never>(
  name: Name,
  input: JobInput<Name>,
  {
    progress,
    part,
    handOver = [],
  }: Partial<Pick<Report<Part>, 'progress' | 'part'>> & {
    handOver?: Transferable[]
  } = {},
): Job<JobOutput<Name>> {
  const worker = new Worker(new URL('./jobs.worker.ts', import.meta.url), { type: 'module', name })
  let cancel = (): void => undefined
  const done = new Promise<JobOutput<Name>>((resolve, reject) => {
    cancel = () => {
      worker.terminate()
      reject(new Cancelled())
    }
    worker.onmessage = ({ data }: MessageEvent<Answer<JobOutput<Name>>>) => {
      if ('progress' in data) return progress?.(data.progress)
      if ('part' in data) return part?.(data.part as Part)
      worker.terminate()
      if ('out' in data) resolve(data.out)
      else reject('lost' in data ? lostPart() : new Error(data.failed))
    }
    worker.onerror = (event) => {
      worker.terminate()
      reject(workerError(event))
    }
    worker.postMessage({ name, input }, handOver)
  })
  return { done, cancel: () => cancel() }
}

/** Several jobs as one: they are cancelled together, and one that fails stops the others. */
export function joinJobs<Out>(jobs: readonly Job<Out>[]): Job<Out[]> {
  const cancel = (): void => jobs.forEach((job) => job.cancel())
  const done = Promise.all(jobs.map((job) => job.done))
  done.catch(cancel)
  return { done, cancel }
}
