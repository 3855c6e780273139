import { startJob, type Job } from './job.ts'
import type { OddsAnswers, OddsInput } from './work/odds.ts'

/** Has a question about odds answered in a worker. `progress` gets the share done, 0 to 1. */
export const askOdds = <Ask extends keyof OddsAnswers>(
  input: OddsInput,
  progress: (share: number) => void,
): Job<OddsAnswers[Ask]> => startJob('answerOdds', input, { progress }) as Job<OddsAnswers[Ask]>
