import { NO_CARD, pairOf } from '../deck/card.ts'
import type { Dealer } from '../deal/deal.ts'
import { streamOf } from '../deal/seed.ts'
import type { Settings } from '../game/settings.ts'
import { timeUsed } from '../play/clock.ts'
import { newRound, type Round } from '../play/round.ts'
import { playLuckiest } from './luckiest.ts'
import { playNoMemory, playPerfectMemory } from './players.ts'
import { unlimited } from './unlimited.ts'

/** Where a player lands: means over games that are played to their end, without limits; time in ms, with no time to think. */
export type Landing = { turns: number; time: number; score: number }
/** What a level costs: the least that anyone needs, the most that anyone scores, and where two players land. */
export type Cost = { leastTime: number; highestScore: number; perfect: Landing | null; none: Landing }

/** So many games of a perfect memory, and about so many turns of one without any, are played. */
const GAMES = 120
const TURNS = 6000

/**
 * What a level costs, played through the machine. In: resolved settings and their dealer. Deals are seeded, so that the same level gives
 * the same figures. Where pairs are repeated, `perfect` is null: what is best then is another question.
 * Cost: a few ms.
 */
export function costOf(settings: Settings, dealer: Dealer): Cost {
  const timeless = unlimited(settings)
  // a clock that counts down moves its limit, one that counts up the time used
  const mode = settings.clock.mode === 'up' ? 'up' : 'off'
  const free: Settings = { ...timeless, clock: { ...timeless.clock, mode } }
  const cells = (i: number) => dealer.deal(`cost-${i}`)
  const luckiest = playLuckiest(settings, cells(0))
  const mean = (games: number, play: (round: Round) => void): Landing => {
    const sum: Landing = { turns: 0, time: 0, score: 0 }
    for (let i = 0; i < games; i++) {
      const round = newRound(free, cells(i), false)
      play(round)
      sum.turns += round.turns / games
      sum.time += timeUsed(round) / games
      sum.score += round.score / games
    }
    return sum
  }
  const pairs = luckiest.cards / 2
  const stream = streamOf('cost', 'picking')
  return {
    leastTime: timeUsed(playLuckiest(timeless, cells(0))),
    highestScore: luckiest.score,
    perfect: repeats(cells(0)) ? null : mean(GAMES, playPerfectMemory),
    none: mean(Math.max(8, Math.round(TURNS / pairs ** 2)), (round) => playNoMemory(round, stream)),
  }
}

/** Whether a deal holds more than two cards of one pair. */
export function repeats(cells: readonly number[]): boolean {
  const seen = new Map<number, number>()
  for (const card of cells) if (card !== NO_CARD) seen.set(pairOf(card), (seen.get(pairOf(card)) ?? 0) + 1)
  return [...seen.values()].some((count) => count > 2)
}
