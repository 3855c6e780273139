import { BOUNDS } from '../settings/bounds.ts'
import { type Section, type Settings } from '../settings/settings.ts'

/** The rules that can be solved for. */
export const LEVERS = ['clock', 'lives', 'turns', 'first-look', 'miss-look'] as const
export type Lever = (typeof LEVERS)[number]

/** The place of a lever's number, its natural step, and its more severe end. Times in ms. */
type LeverPlace = {
  section: Section
  key: string
  step: number
  bounds: readonly [number, number]
  severe: 'low' | 'high'
}
export const LEVER_PLACES: Record<Lever, LeverPlace> = {
  clock: { section: 'clock', key: 'limit', step: 1000, bounds: BOUNDS.limit, severe: 'low' },
  lives: { section: 'limits', key: 'lives', step: 1, bounds: BOUNDS.lives, severe: 'low' },
  turns: { section: 'limits', key: 'turns', step: 1, bounds: BOUNDS.turns, severe: 'low' },
  'first-look': { section: 'turn', key: 'firstLook', step: 100, bounds: BOUNDS.look, severe: 'low' },
  'miss-look': { section: 'turn', key: 'missLook', step: 100, bounds: BOUNDS.look, severe: 'high' },
}

/**
 * The change to a level's settings that sets a lever to a value; a clock that is off or counts up is made to count
 * down.
 */
export function leverPatch(lever: Lever, value: number): { section: Section; patch: object } {
  const { section, key } = LEVER_PLACES[lever]
  return { section, patch: { [key]: value, ...(lever === 'clock' ? { mode: 'down' } : {}) } }
}

/** The settings with a lever at a value. */
export function withLever(settings: Settings, lever: Lever, value: number): Settings {
  const { section, patch } = leverPatch(lever, value)
  return { ...settings, [section]: { ...settings[section], ...patch } }
}

/** The value of a lever now, null if there is no such limit. */
export function leverValue({ clock, limits, turn }: Settings, lever: Lever): number | null {
  if (lever === 'clock') return clock.mode === 'down' ? clock.limit : null
  if (lever === 'lives' || lever === 'turns') return limits[lever]
  return lever === 'first-look' ? turn.firstLook : turn.missLook
}

/**
 * The values of a lever in its natural steps, in order of severity from 0. In: how many pairs are on the board; fewer
 * turns than that win no game.
 */
export function leverSteps(lever: Lever, pairs: number): { count: number; at(step: number): number } {
  const { step, bounds, severe } = LEVER_PLACES[lever]
  const low = lever === 'turns' ? Math.max(pairs, bounds[0]) : bounds[0]
  const count = Math.floor((bounds[1] - low) / step) + 1
  return { count, at: (i) => low + step * (severe === 'low' ? i : count - 1 - i) }
}
