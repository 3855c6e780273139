import type { Cells } from '../deal/deal.ts'
import type { Settings } from '../settings/settings.ts'
import { advance, apply } from './machine.ts'
import type { Input } from './events.ts'
import type { RoundResult } from './result.ts'
import { newRound } from './new-round.ts'
import type { Round } from './round.ts'

/**
 * Plays inputs through the machine. In: a level's settings, the deal, inputs in order of time, and until when time
 * passes after them.
 */
export function replay(
  rules: Settings,
  cells: Cells,
  game: { inputs: readonly Input[]; until?: number },
): Round {
  const round = newRound(rules, cells)
  for (const input of game.inputs) apply(round, input)
  if (game.until !== undefined) advance(round, game.until)
  return round
}

/** Which of the expected figures a result misses: key, expected and actual. */
export function differences(
  expected: Partial<RoundResult>,
  actual: RoundResult,
): { key: keyof RoundResult; expected: unknown; actual: unknown }[] {
  return (Object.keys(expected) as (keyof RoundResult)[])
    .filter((key) => !same(expected[key], actual[key]))
    .map((key) => ({ key, expected: expected[key], actual: actual[key] }))
}

/**
 * Equal values; two lists are equal entry by entry; two counts by reason are equal when every reason has the same
 * count, 0 if it is missing.
 */
function same(one: unknown, other: unknown): boolean {
  if (one === null || other === null || typeof one !== 'object' || typeof other !== 'object')
    return one === other
  if (Array.isArray(one) && Array.isArray(other) && one.length !== other.length) return false
  if (Array.isArray(one)) return JSON.stringify(one) === JSON.stringify(other)
  const a = one as Record<string, number>
  const b = other as Record<string, number>
  return [...Object.keys(a), ...Object.keys(b)].every((key) => (a[key] ?? 0) === (b[key] ?? 0))
}
