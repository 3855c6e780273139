import type { Dealer } from '../deal/deal.ts'
import { PERFECT } from '../settings/mind.ts'
import type { Settings } from '../settings/settings.ts'
import { exactOf } from './exact.ts'
import { perfectGames } from './perfect-games.ts'

/**
 * How long lives last a perfect memory. `share`: in what share of its games this many lives are enough; `fewest`: how
 * many are enough in such a share of them. `games`: how many games were played to find out; 0 if it is known exactly.
 */
export type LivesNeeded = {
  share(lives: number): number
  fewest(share: number): number
  games: number
}

/**
 * How many lives a perfect memory needs to win a level that has no other limit: one more than it loses. In: resolved
 * settings and their dealer. Out: null if there are no lives. Exact for different pairs, shuffled, and where only slips
 * cost a life, since it makes none; otherwise found by 20 to 200 seeded games through the machine. Cost: some ms.
 */
export function livesNeeded(settings: Settings, dealer: Dealer): LivesNeeded | null {
  const { lives, livesLostOn } = settings.limits
  if (lives === null) return null
  if (livesLostOn === 'slip') return fromChances([1], 0)
  const exact = exactOf({ settings, dealer }, PERFECT, dealer.cards('lives'))
  if (exact) return fromChances(exact.misses, 0)
  const { turns } = perfectGames(settings, dealer)
  const chances: number[] = []
  for (const count of turns) {
    const misses = count - dealer.pairs
    while (chances.length <= misses) chances.push(0)
    chances[misses]! += 1 / turns.length
  }
  return fromChances(chances, turns.length)
}

/** From the chance of each number of lives lost, from 0. */
function fromChances(chances: ArrayLike<number>, games: number): LivesNeeded {
  const within: number[] = []
  for (let lost = 0, sum = 0; lost < chances.length; lost++) within.push((sum += chances[lost]!))
  const share = (lives: number): number => Math.min(1, within[Math.min(lives, within.length) - 1] ?? 0)
  // a hair below a share, which is a sum of rounded numbers
  const fewest = (wanted: number): number => within.findIndex((sum) => sum >= wanted - 1e-9) + 1
  return { share, fewest, games }
}
