import type { Playable } from '../odds/games.ts'
import { LEVER_PLACES, type Lever } from '../odds/levers.ts'
import {
  HARDLY_ANY,
  limitsOf,
  NEARLY_ALL,
  runTrial,
  valueFor,
  WANTED,
  type Trial,
} from '../odds/difficulty.ts'
import { EVERYDAY, FLEETING, type Mind } from '../settings/mind.ts'
import type { Section } from '../settings/settings.ts'
import type { FindingOf } from './finding.ts'

/** A finding from the games of minds, without its place in the ladder. */
type DifficultyFinding = {
  code: 'hardly-won' | 'hardly-lost'
  section: Section
  key: string
  values: FindingOf<'hardly-won'>['values']
}

/** A level without limits is won whenever it is played to its end. */
const ALWAYS: Trial = { won: 0, games: 0, interval: [1, 1], unlimited: null }

/** How everyday and fleeting players do on a level; null if their games are too long to play, or not needed. */
export type MindResults = { everyday: Trial | null; fleeting: Trial | null }

/**
 * Lets minds play a level, for at most this many turns each. A level with a mind as a rival is not judged: there the
 * limits are not what matters.
 */
export function playStandardMinds(level: Playable, turns: number): MindResults {
  if (level.settings.players.minds.some((id) => id !== null)) return { everyday: null, fleeting: null }
  if (!limitsOf(level).length) return { everyday: ALWAYS, fleeting: null }
  const everyday = runTrial(level, EVERYDAY, turns)
  if (everyday && isTooHard(everyday)) return { everyday, fleeting: null }
  return { everyday, fleeting: runTrial(level, FLEETING, turns, Math.floor(100 * (1 - NEARLY_ALL)) + 1) }
}
const isTooHard = ({ won, games }: Trial): boolean => won < games * HARDLY_ANY

/** The findings of a level from how minds do on it. `solves`: also work out the value that would mend it. */
export function difficultyFindings(
  level: Playable,
  { everyday, fleeting }: MindResults,
  solves: boolean,
): DifficultyFinding[] {
  const findingOf = (
    code: DifficultyFinding['code'],
    trial: Trial,
    mind: Mind,
    share: number,
  ): DifficultyFinding => {
    const { won, games } = trial
    const way = solves ? suggestLimit(level, trial, mind, share) : null
    const by = way?.by ?? limitsOf(level)[0]!
    const { section, key } = LEVER_PLACES[by]
    return { code, section, key, values: { by, won, games, enough: way?.value ?? null } }
  }
  if (everyday && isTooHard(everyday)) return [findingOf('hardly-won', everyday, EVERYDAY, WANTED.everyday)]
  return fleeting && fleeting.won > fleeting.games * NEARLY_ALL
    ? [findingOf('hardly-lost', fleeting, FLEETING, WANTED.fleeting)]
    : []
}

/**
 * The first limit of a level that has a value with which a mind wins this share, and that value. In: the result of its
 * games there.
 */
export function suggestLimit(
  level: Playable,
  trial: Trial,
  mind: Mind,
  share: number,
): { by: Lever; value: number } | null {
  for (const by of limitsOf(level)) {
    const value = valueFor(level, trial, { mind, by, share })
    if (value !== null) return { by, value }
  }
  return null
}

/**
 * Whether everyday players win more on the second of two levels than on the first, by more than both intervals; a first
 * level that is too hard has a finding of its own.
 */
export const isEasier = (before: Trial | null, after: Trial | null): boolean =>
  before !== null && !isTooHard(before) && after !== null && after.interval[0] > before.interval[1]
