import { workerError } from '../../store/faults.ts'
import { Cancelled, type Job } from '../jobs/job.ts'
import type { ThemeChoice, ThemeInput, ThemeOutput } from './theme.worker.ts'

/** Chooses pictures that look as little alike as can be found; `progress` gets the share done, 0 to 1. */
export function chooseUnlike(input: ThemeInput, progress: (share: number) => void): Job<ThemeChoice> {
  const worker = new Worker(new URL('./theme.worker.ts', import.meta.url), { type: 'module' })
  let cancel = (): void => undefined
  const done = new Promise<ThemeChoice>((resolve, reject) => {
    cancel = () => reject(new Cancelled())
    worker.onmessage = ({ data }: MessageEvent<ThemeOutput>) => {
      if ('progress' in data) progress(data.progress)
      else if ('choice' in data) resolve(data.choice)
      else reject(new Error(data.failed))
    }
    worker.onerror = (event) => reject(workerError(event))
  }).finally(() => worker.terminate())
  worker.postMessage(input)
  return { done, cancel: () => cancel() }
}
