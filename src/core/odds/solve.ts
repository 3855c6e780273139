import type { Mind } from '../settings/mind.ts'
import { ENDS, playGames, winsOf, type End, type Games, type Playable } from './games.ts'
import { LEVER_PLACES, leverSteps, withLever, type Lever } from './levers.ts'
import { withoutLimits } from './without-limits.ts'
import { wilson } from './wilson.ts'
import { looksAddUp, decidesWins, winsUnderLimits, withLongerLook } from './wins-under-limits.ts'

/** The aim: that a mind wins this share of its games (0 to 1), and the rule that may be changed for it. */
export type SolveGoal = { mind: Mind; share: number; by: Lever }
/** A share of won games, with its 95 % interval. */
type WinCount = { won: number; games: number; share: number; interval: [number, number] }
/**
 * The most severe value with which the mind wins that share. `range`: the most and the least severe value that cannot
 * be told apart from the aim. `wins`: on fresh deals, which confirmed it. Or, if no value reaches the aim, the best
 * possible, and why: `no-effect`, the rule changes nothing here; `too-hard`, something else ends the games, `most` by
 * what most of them at the least severe value.
 */
export type Solution =
  | { ok: true; value: number; range: [number, number]; wins: WinCount }
  | { ok: false; value: number; wins: WinCount; why: 'no-effect' | 'too-hard'; most: End | null }

/** How many games are played: as many as take about `turns` turns, within bounds. */
export type Effort = { most: number; fewest: number; turns: number }
export const countWithin = ({ most, fewest, turns }: Effort, turnsPerGame: number): number =>
  Math.max(fewest, Math.min(most, Math.floor(turns / Math.max(1, turnsPerGame))))

/** At each value tried. */
const GAMES: Effort = { most: 2000, fewest: 100, turns: 400_000 }
/** How often the search is repeated with twice as many games, if fresh deals do not confirm its result. */
const AGAIN = 2

/**
 * Solves a level for a share of wins. Each value is tried on the same deals with the same chances, and the result is
 * confirmed on fresh ones. In: `seed`, the seed text of all games; `told` is called as work goes on, with the share of
 * it that is done, 0 to 1; `effort`, how many games are played at each value. Assumes that a less severe value never
 * wins fewer games: that holds for clock, lives and turns, and nearly for looks.
 */
export function solve(
  level: Playable,
  goal: SolveGoal,
  seed: string,
  progress?: (done: number) => void,
  effort = GAMES,
): Solution {
  const { mind, by, share } = goal
  const { count, at } = leverSteps(by, level.dealer.pairs)
  // the rounds of bisection, some for the range, and the fresh deals
  const rounds = Math.ceil(Math.log2(count)) + 16
  let playedCount = 0
  const tell = (): void => progress?.(Math.min(1, ++playedCount / rounds))
  let games = gamesFor(level, mind, seed, effort)
  for (let again = 0; ; again++) {
    const winsAt = trials(level, goal, seed, games, tell)
    const fresh = (value: number): WinCount => trials(level, goal, `${seed}-again`, games, tell)(value)
    const least = winsAt(at(count - 1))
    const isIdle = winsAt(at(0)).won === least.won
    const index = isIdle ? count : firstOf(0, count, (i) => winsAt(at(i)).share >= share)
    if (index === count) {
      const best = firstOf(0, count, (i) => winsAt(at(i)).won === least.won)
      const why = isIdle ? 'no-effect' : 'too-hard'
      return {
        ok: false,
        value: at(best),
        wins: fresh(at(best)),
        why,
        most: mostEnds(level, goal, at(count - 1), seed, games),
      }
    }
    const wins = fresh(at(index))
    if (wins.interval[1] >= share || again === AGAIN) {
      const severe = firstOf(0, index + 1, (i) => winsAt(at(i)).interval[1] >= share)
      const loose = nextAfter(index, count, (i) => winsAt(at(i)).interval[0] >= share)
      progress?.(1)
      return { ok: true, value: at(index), range: [at(severe), at(loose)], wins }
    }
    games *= 2
  }
}

/**
 * The first of the steps from `from` up to but not including `to` at which something holds that keeps holding; `to` if
 * there is none.
 */
export function firstOf(from: number, to: number, holds: (step: number) => boolean): number {
  let [low, high] = [from, to]
  while (low < high) {
    const middle = Math.floor((low + high) / 2)
    if (holds(middle)) high = middle
    else low = middle + 1
  }
  return low
}
/** The same, searched near a step first; the last step if there is none. */
function nextAfter(from: number, to: number, holds: (step: number) => boolean): number {
  let [low, reach] = [from, 1]
  while (low + reach < to && !holds(low + reach)) [low, reach] = [low + reach, reach * 2]
  return Math.min(to - 1, firstOf(low, Math.min(to, low + reach), holds))
}

/** How many games are played at each value. */
function gamesFor(level: Playable, mind: Mind, seed: string, effort: Effort): number {
  const pilot = playGames(level, mind, `${seed}-pilot`, 1, 20).turns
  return countWithin(effort, pilot.reduce((sum, one) => sum + one, 0) / pilot.length)
}

const levelAt = (level: Playable, by: Lever, value: number): Playable => ({
  ...level,
  settings: withLever(level.settings, by, value),
})

/**
 * The wins at any value of a lever, always of the same games. If its values do not change how games go, they are played
 * once with nothing to end them, and each value is compared with their results.
 */
function trials(
  level: Playable,
  { mind, by }: SolveGoal,
  seed: string,
  games: number,
  tell: () => void,
): (value: number) => WinCount {
  const { dealer, settings } = level
  const follows =
    decidesWins(levelAt(level, by, LEVER_PLACES[by].bounds[0]).settings) &&
    (by === 'miss-look' ? looksAddUp(settings) : by !== 'first-look')
  let unlimited: Games | null = null
  const cache = new Map<number, WinCount>()
  const wonAt = (value: number): number => {
    const there = levelAt(level, by, value)
    if (follows) {
      unlimited ??= playGames({ ...level, settings: withoutLimits(settings) }, mind, seed, 1, games)
      const longer = there.settings.turn.missLook - settings.turn.missLook
      return winsUnderLimits(
        longer ? withLongerLook(unlimited, longer, dealer.pairs) : unlimited,
        there.settings,
        dealer.pairs,
      )
    }
    return winsOf(playGames(there, mind, seed, 1, games))
  }
  return (value) => {
    let wins = cache.get(value)
    if (!wins) {
      const won = wonAt(value)
      cache.set(value, (wins = { won, games, share: won / games, interval: wilson(won, games) }))
    }
    tell()
    return wins
  }
}

/** How most of the games that were not won ended; null if all were. */
function mostEnds(
  level: Playable,
  { mind, by }: SolveGoal,
  value: number,
  seed: string,
  games: number,
): End | null {
  const counts = ENDS.map(() => 0)
  for (const end of playGames(levelAt(level, by, value), mind, seed, 1, games).ends) counts[end]!++
  const most = Math.max(...counts.slice(1))
  return most === 0 ? null : ENDS[counts.indexOf(most, 1)]!
}

/** A value of a lever, one step more severe; null at the end. */
export function moreSevere(by: Lever, value: number, pairs: number): number | null {
  const { step, severe } = LEVER_PLACES[by]
  const next = severe === 'low' ? value - step : value + step
  const { count, at } = leverSteps(by, pairs)
  return (next - at(0)) * (next - at(count - 1)) <= 0 ? next : null
}
