import type { Result } from '../../../core/result.ts'
import type { Mind } from '../../../core/settings/mind.ts'
import { joinJobs, startJob, workerCount, type Job } from './job.ts'
import type { GamesInput, GamesLot } from './work/games.ts'

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
  const { done, cancel } = joinJobs(
    Array.from({ length: count }, (_, at) =>
      startJob<'playGames', GamesLot>(
        'playGames',
        { ...level, minds, seed, lots: all.filter((_lot, i) => i % count === at) },
        { part: take },
      ),
    ),
  )
  return { done: done.then((ends) => ends.find(({ ok }) => !ok) ?? ends[0]!), cancel }
}
