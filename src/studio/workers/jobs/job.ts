import { workerError } from '../../store/faults.ts'
import type { Answer } from './answer.ts'

/** Work in a worker, as one typed call with progress and cancel. */
export type Job<Out> = { done: Promise<Out>; cancel: () => void }

const MOST_WORKERS = 4
/** How many workers share a job: as many as the machine has cores, up to four. */
export const workerCount = (): number =>
  Math.max(1, Math.min(MOST_WORKERS, navigator.hardwareConcurrency || 1))

/** A job that its user cancelled. */
export class Cancelled extends Error {}

/**
 * Starts a worker on one input. `progress` gets the share done, 0 to 1, and `part` what the worker gives before its
 * answer. The worker ends with its answer, or when it is cancelled.
 */
export function startJob<In, Out, Part = never>(
  worker: Worker,
  input: In,
  progress: (share: number) => void = () => undefined,
  transfer: Transferable[] = [],
  part: (part: Part) => void = () => undefined,
): Job<Out> {
  let cancel = (): void => undefined
  const done = new Promise<Out>((resolve, reject) => {
    cancel = () => {
      worker.terminate()
      reject(new Cancelled())
    }
    worker.onmessage = ({ data }: MessageEvent<Answer<Out>>) => {
      if ('progress' in data) return progress(data.progress)
      if ('part' in data) return part(data.part as Part)
      worker.terminate()
      if ('out' in data) resolve(data.out)
      else reject(new Error(data.failed))
    }
    worker.onerror = (event) => {
      worker.terminate()
      reject(workerError(event))
    }
    worker.postMessage(input, transfer)
  })
  return { done, cancel: () => cancel() }
}
