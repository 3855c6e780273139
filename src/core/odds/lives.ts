import type { Dealer } from '../deal/deal.ts'
import { PERFECT } from '../settings/mind.ts'
import type { Settings } from '../settings/settings.ts'
import { newRound } from '../play/new-round.ts'
import { exactOf } from './exact.ts'
import { SEED } from './games.ts'
import { playMinds } from './play-minds.ts'
import { unlimited } from './unlimited.ts'

/**
 * How long lives last a perfect memory. `share`: in what share of its games so many lives are enough; `fewest`: how many are in such a share of them.
 * `games`: how many games were played to find out; 0 where it is known exactly.
 */
export type LivesNeeded = {
  share(lives: number): number
  fewest(share: number): number
  games: number
}

/** So many games are played where nothing exact is known, and on boards of many pairs fewer: about so many pairs in all. */
const GAMES = { most: 200, fewest: 20, pairs: 2000 } as const

/**
 * How many lives a perfect memory needs to win a level that nothing else ends: one more than it loses. In: resolved settings and their dealer. Out:
 * null where there are no lives. Exact for different pairs, shuffled, and where only slips cost a life, since it makes none; else found by
 * 20 to 200 seeded games through the machine. Cost: some ms.
 */
export function livesNeeded(settings: Settings, dealer: Dealer): LivesNeeded | null {
  const { lives, livesLostOn } = settings.limits
  if (lives === null) return null
  if (livesLostOn === 'slip') return fromChances([1], 0)
  const first = dealer.cards('lives-0')
  const exact = exactOf({ settings, dealer }, PERFECT, first)
  if (exact) return fromChances(exact.misses, 0)
  const free = unlimited(settings)
  const games = Math.max(GAMES.fewest, Math.min(GAMES.most, Math.floor(GAMES.pairs / dealer.pairs)))
  const chances: number[] = []
  for (let i = 0; i < games; i++) {
    // how often pairs are repeated changes with the seed only if that is left to chance
    const cells = settings.fill.repeat === 'at-random' ? dealer.cards(`lives-${i}`) : first
    const round = newRound(free, cells, false)
    playMinds(round, [PERFECT], SEED, i + 1)
    while (chances.length <= round.misses) chances.push(0)
    chances[round.misses]! += 1 / games
  }
  return fromChances(chances, games)
}

/** From the chance of each number of lives lost, from 0. */
function fromChances(chances: ArrayLike<number>, games: number): LivesNeeded {
  const within: number[] = []
  for (let lost = 0, sum = 0; lost < chances.length; lost++) within.push((sum += chances[lost]!))
  const share = (lives: number): number => Math.min(1, within[Math.min(lives, within.length) - 1] ?? 0)
  // a hair below a share is one that was added up
  const fewest = (wanted: number): number => within.findIndex((sum) => sum >= wanted - 1e-9) + 1
  return { share, fewest, games }
}
