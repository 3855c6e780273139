import type { Dealer } from '../deal/deal.ts'
import type { Settings } from '../game/settings.ts'
import { newRound } from '../play/round.ts'
import { repeats } from './cost.ts'
import { playPerfectMemory } from './players.ts'

/** So many games of a perfect memory are played. */
export const LIVES_GAMES = 100

/**
 * How many lives a perfect memory needs to win, in each of 100 seeded games of a level played through the machine without limits; fewest
 * first. In: resolved settings and their dealer. Out: null where there are no lives, or where pairs are repeated. Cost: some ms.
 */
export function livesNeeded(settings: Settings, dealer: Dealer): number[] | null {
  const { lives, livesLostOn } = settings.limits
  if (lives === null || repeats(dealer.deal('lives-0'))) return null
  const free: Settings = {
    ...settings,
    clock: { ...settings.clock, mode: 'off' },
    limits: { ...settings.limits, lives: null, turns: null },
    players: { ...settings.players, names: ['one'] },
  }
  return Array.from({ length: LIVES_GAMES }, (_, i) => {
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
