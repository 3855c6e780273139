import type { Input } from './events.ts'
import { quoted, type Problem } from '../result.ts'
import type { RoundResult } from './result.ts'
import { LAST_TIME } from './round.ts'

/** PlayedGame games: what was dealt and pressed, and the expected outcome. */

/**
 * A game that was played: the level, its seed (and the deal itself, card by card, where no seed gives it), the inputs
 * with their times in ms, and how long time passed after them. `story` is what happened in each turn, as `storyOf`
 * words it.
 */
export type PlayedGame = {
  level: string
  seed: string
  deal?: (string | null)[]
  inputs: Input[]
  until?: number
  story?: string[]
}
/** The same as a file of its own; with `expect` it states the outcome that must follow. */
export type PlayRecord = PlayedGame & { game: string; expect?: Partial<RoundResult> }
/** The same kept in the game, to be played again after every change. */
export type Check = PlayedGame & { id: string; name: string; expect: Partial<RoundResult> }

/** How a record begins as a file of its own. */
export const recordHead = { format: 'lucky-twin/play', version: 1 } as const

const isTime = (at: number): boolean => at >= 0 && at <= LAST_TIME

/** What is wrong with a time that somebody gave, or null: it is neither a number nor one that a round can have. */
export const timeProblem = (place: string, at: number): Problem | null =>
  isTime(at)
    ? null
    : { at: place, message: `${at} is not a time of a round: 0 to ${LAST_TIME} ms since the deal` }

/** What whoever gave out a game knows of it, beside what a player's browser says. */
export type Expected = { level?: string; seed?: string }

/**
 * What is not as it was given in a record of that game, or null: another level or seed, or, with a seed, a deal of its
 * own. Without that a record proves only that somebody could play so.
 */
export function givenProblem(game: PlayedGame, given: Expected): Problem | null {
  for (const key of ['level', 'seed'] as const)
    if (given[key] !== undefined && game[key] !== given[key])
      return { at: key, message: `${quoted(given[key])} was given, and this is ${quoted(game[key])}` }
  return given.seed !== undefined && game.deal
    ? { at: 'deal', message: 'a seed was given, and this has a deal of its own' }
    : null
}

/** Times of inputs must be times of a round, and may not run backwards; the message names the first that does. */
export function inOrder(game: { inputs: readonly Input[]; until?: number }): Problem | null {
  let before = 0
  for (const [i, { at }] of game.inputs.entries()) {
    const wrong = timeProblem(`inputs[${i}].at`, at)
    if (wrong) return wrong
    if (at < before)
      return { at: `inputs[${i}].at`, message: `${at} is earlier than the previous input (${before})` }
    before = at
  }
  if (game.until === undefined) return null
  if (game.until < before)
    return { at: 'until', message: `${game.until} is earlier than the last input (${before})` }
  return timeProblem('until', game.until)
}
