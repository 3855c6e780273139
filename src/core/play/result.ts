import { timeUsed } from './clock.ts'
import type { LostBy, Outcome, Refusal } from './events.ts'
import { starsFor } from './points.ts'
import type { Round } from './round.ts'

/** The figures of a round, as `replay` prints them and as a kept check may expect them. Times in ms. */
export type RoundResult = {
  outcome: Outcome
  lostBy: LostBy | null
  turns: number
  flips: number
  matches: number
  misses: number
  found: number
  lucky: number
  glimpsed: number
  slips: number
  fresh: number
  longestStreak: number
  score: number
  /** null: the level has no stars */
  stars: number | null
  /** null: the level has no lives */
  lives: number | null
  timeUsed: number
  /** how many presses were refused, for each reason that occurred */
  refused: Partial<Record<Refusal, number>>
  /** by player; only with several */
  players?: { matches: number; misses: number; score: number }[]
}

export function resultOf(round: Round): RoundResult {
  const won = round.phase === 'won'
  const time = timeUsed(round)
  return {
    outcome: won ? 'won' : round.phase === 'lost' ? 'lost' : 'open',
    lostBy: round.lostBy,
    turns: round.turns,
    flips: round.flips,
    matches: round.matches,
    misses: round.misses,
    found: round.matches - round.lucky - round.glimpsed,
    lucky: round.lucky,
    glimpsed: round.glimpsed,
    slips: round.slips,
    fresh: round.misses - round.slips,
    longestStreak: round.longestStreak,
    score: round.score,
    stars: starsFor(round.rules.score, { won, score: round.score, turns: round.turns, time }),
    lives: round.lives,
    timeUsed: time,
    refused: { ...round.refused },
    ...(round.seats && {
      players: round.seats.map(({ matches, misses, score }) => ({ matches, misses, score })),
    }),
  }
}

/** Who of several players won a cleared board: the most points, then the most matches; more than one in a tie. */
export function winners(players: Readonly<NonNullable<RoundResult['players']>>): number[] {
  const rank = ({ score, matches }: { score: number; matches: number }): number => score * 1e4 + matches
  const best = Math.max(...players.map(rank))
  return players.flatMap((player, at) => (rank(player) === best ? [at] : []))
}
