import type { Dealer } from '../deal/deal.ts'
import type { Settings } from '../game/settings.ts'
import { newRound } from '../play/round.ts'
import { repeats } from './cost.ts'
import { playPerfectMemory } from './players.ts'
import { unlimited } from './unlimited.ts'

/** So many games of a perfect memory are played, and on boards of many pairs fewer: about so many pairs in all. */
export const LIVES_GAMES = { most: 100, fewest: 20, pairs: 2000 } as const

/**
 * How many lives a perfect memory needs to win, in each of 20 to 100 seeded games of a level played through the machine without limits; fewest
 * first. In: resolved settings and their dealer. Out: null where there are no lives, or where pairs are repeated. Cost: some ms.
 */
export function livesNeeded(settings: Settings, dealer: Dealer): number[] | null {
  const { lives, livesLostOn } = settings.limits
  if (lives === null || repeats(dealer.deal('lives-0'))) return null
  const free = unlimited(settings)
  const { most, fewest, pairs } = LIVES_GAMES
  const games = Math.max(fewest, Math.min(most, Math.floor(pairs / dealer.pairs)))
  return Array.from({ length: games }, (_, i) => {
    const round = newRound(free, dealer.deal(`lives-${i}`), false)
    playPerfectMemory(round)
    return (livesLostOn === 'miss' ? round.misses : round.slips) + 1
  }).sort((a, b) => a - b)
}

/** In how many of the games so many lives are enough. */
export const livesLast = (needed: readonly number[], lives: number): number =>
  needed.filter((one) => one <= lives).length

/** The fewest lives that are enough in at least half of the games. */
export const livesForHalf = (needed: readonly number[]): number => needed[Math.ceil(needed.length / 2) - 1]!
