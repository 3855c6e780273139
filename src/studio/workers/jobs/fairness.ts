import { buffersOf } from '../../../core/audit/tally.ts'
import type { Pair } from '../../../core/deck/pair.ts'
import type { Settings } from '../../../core/settings/settings.ts'
import { lightPairs, plain } from './for-worker.ts'
import { joinJobs, startJob, workerCount, type Job } from './job.ts'
import type { Fairness } from './work/deals.ts'

/** Deals a level `count` times in workers, each a part of it, and judges the result. */
export function measureFairness(
  pairs: readonly Pair[],
  { board, fill, deal }: Pick<Settings, 'board' | 'fill' | 'deal'>,
  count: number,
  seed: string,
  progress: (share: number) => void,
): Job<Fairness> {
  const level = { pairs: lightPairs(pairs), settings: plain({ board, fill, deal }) }
  const workers = workerCount()
  const shares = new Array<number>(workers).fill(0)
  const counts = joinJobs(
    shares.map((_, i) =>
      startJob(
        'countDeals',
        {
          ...level,
          seed,
          from: Math.floor((count * i) / workers),
          to: Math.floor((count * (i + 1)) / workers),
        },
        {
          progress(share) {
            shares[i] = share
            progress(shares.reduce((a, b) => a + b, 0) / workers)
          },
        },
      ),
    ),
  )
  let judgement: Job<Fairness> | null = null
  const done = counts.done.then((tallies) => {
    judgement = startJob('judgeDeals', { ...level, tallies }, { handOver: tallies.flatMap(buffersOf) })
    return judgement.done
  })
  const cancel = (): void => {
    counts.cancel()
    judgement?.cancel()
  }
  return { done, cancel }
}
