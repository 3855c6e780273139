import { buffersOf, type Tally } from '../../../core/audit/tally.ts'
import type { Pair } from '../../../core/deck/pair.ts'
import { lightPairs, plain } from './for-worker.ts'
import { startJob, workerCount, type Job } from './job.ts'
import type { CountInput, Fairness, SumInput } from './messages.ts'

/** Deals a level `count` times in workers, each a part of it, and judges the result. */
export function measureFairness(
  pairs: readonly Pair[],
  { board, fill, deal }: CountInput['settings'],
  count: number,
  seed: string,
  progress: (share: number) => void,
): Job<Fairness> {
  const settings = plain({ board, fill, deal })
  const deck = lightPairs(pairs)
  const workers = workerCount()
  const shares = new Array<number>(workers).fill(0)
  const jobs = shares.map((_, i) =>
    startJob<CountInput, Tally>(
      new Worker(new URL('./count.worker.ts', import.meta.url), { type: 'module' }),
      {
        pairs: deck,
        settings,
        seed,
        from: Math.floor((count * i) / workers),
        to: Math.floor((count * (i + 1)) / workers),
      },
      (share) => {
        shares[i] = share
        progress(shares.reduce((a, b) => a + b, 0) / workers)
      },
    ),
  )
  let last: Job<Fairness> | null = null
  const done = Promise.all(jobs.map((job) => job.done)).then((tallies) => {
    last = startJob<SumInput, Fairness>(
      new Worker(new URL('./sum.worker.ts', import.meta.url), { type: 'module' }),
      { tallies, pairs: deck, settings },
      undefined,
      tallies.flatMap(buffersOf),
    )
    return last.done
  })
  const cancel = (): void => {
    for (const job of jobs) job.cancel()
    last?.cancel()
  }
  // one that fails stops the others; each reports its own end
  done.catch(cancel)
  for (const job of jobs) job.done.catch(() => undefined)
  return { done, cancel }
}
