import type { Result } from '../../../core/result.ts'
import type { Mind } from '../../../core/settings/mind.ts'
import type { GamesInput, GamesLot } from './games.worker.ts'
import { startJob, workerCount, type Job } from './job.ts'

/** The first lots are small, so that first figures come soon; all minds play each lot. */
const LOTS = [50, 150] as const
const LOT = 200

/** Games 1 to `games`, cut into lots. */
export function lotsOf(games: number): [from: number, to: number][] {
  const lots: [number, number][] = []
  for (let from = 1; from <= games;) {
    const to = Math.min(games, from - 1 + (LOTS[lots.length] ?? LOT))
    lots.push([from, to])
    from = to + 1
  }
  return lots
}

/**
 * Plays games of a level by several minds in workers that share the lots; `take` gets each lot as it is done, in any
 * order.
 */
export function playLots(
  level: Pick<GamesInput, 'pairs' | 'settings' | 'rivals'>,
  minds: Mind[],
  games: number,
  seed: string,
  take: (lot: GamesLot) => void,
): Job<Result<null>> {
  const count = workerCount()
  const all = lotsOf(games)
  const jobs = Array.from({ length: count }, (_, at) =>
    startJob<GamesInput, Result<null>, GamesLot>(
      new Worker(new URL('./games.worker.ts', import.meta.url), { type: 'module' }),
      { ...level, minds, seed, lots: all.filter((_lot, i) => i % count === at) },
      undefined,
      [],
      take,
    ),
  )
  const cancel = (): void => jobs.forEach((job) => job.cancel())
  const done = Promise.all(jobs.map((job) => job.done)).then((ends) => ends.find(({ ok }) => !ok) ?? ends[0]!)
  // one that fails stops the others; each reports its own end
  done.catch(cancel)
  for (const job of jobs) job.done.catch(() => undefined)
  return { done, cancel }
}
