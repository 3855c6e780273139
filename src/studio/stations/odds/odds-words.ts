import { countWords } from '../../../core/count-words.ts'
import type { Measure } from '../../../core/odds/games.ts'
import type { Odds } from '../../../core/odds/odds-of.ts'
import type { Section } from '../../../core/settings/settings.ts'
import { wholeShare } from '../../parts/settings/lever-words.ts'
import { writeNumber } from '../../parts/settings/numbers.ts'
import type { Memory } from '../../../core/settings/mind.ts'

/** The axes on which the games of a level can be shown. */
export const AXES = ['time', 'turns', 'score', 'stars'] as const satisfies readonly Measure[]
export type Axis = (typeof AXES)[number]

/** A value of an axis, written for people, without fractions of a second or a turn. */
export function numberOf(axis: Axis, value: number): string {
  if (axis === 'time') return writeNumber(Math.round(value / 1000) * 1000, 'clock')
  return Math.round(value).toLocaleString('en')
}

/** What games were lost by, the most frequent first; empty if none was. */
export function lostWords({ games, won, lostBy }: Odds): string {
  const unfinished = games - won - lostBy.clock - lostBy.lives - lostBy.turns
  const all: [string, number][] = [...Object.entries(lostBy), ['without an end', unfinished]]
  const ending = all
    .sort(([, one], [, other]) => other - one)
    .filter(([, count]) => count > 0)
    .map(([by, count]) => `${by} ${wholeShare((count / games) * 100)}`)
  return ending.length ? `lost: ${ending.join(', ')}` : ''
}

/** A small step of a rule: "5 s more time". */
const STEP_WORDS: Record<string, string> = {
  'clock.limit': 'more on the clock',
  'clock.matchBonus': 'more for a match',
  'clock.missPenalty': 'more for a miss',
  'limits.lives': 'more',
  'limits.turns': 'more',
  'turn.firstLook': 'more of a first look',
  'turn.missLook': 'longer look at a miss',
  'turn.matchLook': 'longer look at a match',
}
export function stepWords({ section, key, by }: { section: Section; key: string; by: number }): string {
  const amount =
    section !== 'limits'
      ? `${by / 1000} s`
      : key === 'lives'
        ? countWords(by, 'life', 'lives')
        : countWords(by, 'turn')
  return `${amount} ${STEP_WORDS[`${section}.${key}`]!}`
}

/** A memory in a few words, for its card. */
export function memoryWords({ notice, hold, fade, blur }: Memory): string {
  if (notice === 0 || hold === 0 || fade === 1) return 'remembers nothing'
  if (hold === null && notice === 1 && fade === 0 && blur === 0) return 'forgets nothing'
  const cards = hold === null ? 'any number of cards' : countWords(hold, 'card')
  const loses = fade > 0 ? `, loses ${writeNumber(fade, 'more')} a turn` : ''
  return `holds ${cards}${loses}`
}
