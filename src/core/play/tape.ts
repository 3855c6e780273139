import { cellName } from '../board/cells.ts'
import type { Cells } from '../deal/deal.ts'
import type { Settings } from '../settings/settings.ts'
import type { Event, Input, TurnKind } from './events.ts'
import { advance, apply } from './machine.ts'
import { newRound } from './new-round.ts'
import type { Round } from './round.ts'

/** A turn on the tape. Times in ms: `at` of its judgement, `took` since the one before (or since the deal). */
export type Chip = {
  turn: number
  first: number
  second: number
  match: boolean
  how: TurnKind
  points: number
  at: number
  took: number
}

/** The turns of a game, from its list of events. */
export function chipsOf(events: readonly Event[]): Chip[] {
  const chips: Chip[] = []
  for (const event of events) {
    if (event.kind !== 'match' && event.kind !== 'miss') continue
    const { turn, first, second, how, points, at } = event
    const took = at - (chips.at(-1)?.at ?? 0)
    chips.push({ turn, first, second, match: event.kind === 'match', how, points, at, took })
  }
  return chips
}

/** Points as they change the score: "+100", "−20", "0". */
export const signedPoints = (points: number): string =>
  points === 0 ? '0' : `${points > 0 ? '+' : '−'}${Math.abs(points)}`

/** Each turn in a line: "A1 B2 lucky +100". Two games with the same story went the same way. */
export function storyOf(events: readonly Event[], columns: number): string[] {
  return chipsOf(events).map(
    ({ first, second, how, points }) =>
      `${cellName(first, columns)} ${cellName(second, columns)} ${how} ${signedPoints(points)}`,
  )
}

/** The first turn in which two stories differ, from 1; 0 if they are the same. */
export function firstDifference(one: readonly string[], other: readonly string[]): number {
  for (let i = 0; i < Math.max(one.length, other.length); i++) if (one[i] !== other[i]) return i + 1
  return 0
}

/**
 * A game right after a turn was judged, with both its cards up; turn 0 is the deal. In: what was pressed in the whole
 * game. Out: the round, and the inputs that led to it. A turn that was never played gives the game's end. Cost: one
 * replay, 0.3 µs an input.
 */
export function standingAt(
  rules: Settings,
  cells: Cells,
  inputs: readonly Input[],
  turn: number,
): { round: Round; inputs: Input[] } {
  const round = newRound(rules, cells)
  let inputCount = 0
  for (const input of inputs) {
    if (round.turns >= turn) break
    apply(round, input)
    inputCount++
  }
  return { round, inputs: inputs.slice(0, inputCount) }
}

/** A game at a moment, in ms since the deal: everything pressed up to it, and everything due. */
export function standingWhen(
  rules: Settings,
  cells: Cells,
  inputs: readonly Input[],
  at: number,
): { round: Round; inputs: Input[] } {
  const round = newRound(rules, cells)
  const before = inputs.filter((input) => input.at <= at)
  for (const input of before) apply(round, input)
  advance(round, at)
  return { round, inputs: before }
}
