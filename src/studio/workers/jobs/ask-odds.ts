import { startJob, type Job } from './job.ts'
import type { OddsAnswers, OddsInput } from './odds.worker.ts'

/** Has a question about odds answered in a worker. `progress` gets the share done, 0 to 1. */
export const askOdds = <Ask extends keyof OddsAnswers>(
  input: OddsInput,
  progress: (share: number) => void,
): Job<OddsAnswers[Ask]> =>
  startJob(new Worker(new URL('./odds.worker.ts', import.meta.url), { type: 'module' }), input, progress)
