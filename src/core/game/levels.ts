import type { Game, Level } from './game.ts'
import { SECTIONS, type Section, type Settings } from './settings.ts'

const NO_LEVEL = {}
/** For each house its levels' settings, as long as both are the same values. */
const resolved = new WeakMap<Settings, WeakMap<object, Settings>>()

/**
 * A level's settings: the house rules, with every key the level names put in their place.
 * A key that the level does not name is the house's own value, so a change there is a change here. The same house and level give the very same settings.
 */
export function resolveLevel({ house }: Pick<Game, 'house'>, level: Level | undefined): Settings {
  let known = resolved.get(house)
  if (!known) resolved.set(house, (known = new WeakMap()))
  const before = known.get(level ?? NO_LEVEL)
  if (before) return before
  const settings = { ...house } as Record<Section, object>
  if (level)
    for (const section of SECTIONS)
      if (level[section]) settings[section] = { ...house[section], ...level[section] }
  known.set(level ?? NO_LEVEL, settings as Settings)
  return settings as Settings
}

/** The level with this id, or undefined. */
export function findLevel(game: Pick<Game, 'levels'>, id: string | undefined): Level | undefined {
  return game.levels.find((level) => level.id === id)
}

/** Whether a level says this key itself instead of following the house rules. */
export function isOwn<S extends Section>(level: Level, section: S, key: keyof Settings[S]): boolean {
  return level[section] !== undefined && Object.hasOwn(level[section], key)
}

/** Every key that a level says itself, as "section.key". */
export function ownKeys(level: Level): string[] {
  return SECTIONS.flatMap((section) => Object.keys(level[section] ?? {}).map((key) => `${section}.${key}`))
}

/** The level with some keys of a section said by itself. Returns a new level. */
export function withOwn<S extends Section>(level: Level, section: S, patch: Partial<Settings[S]>): Level {
  return { ...level, [section]: { ...(level[section] ?? {}), ...patch } }
}

/** The level with one key given back to the house rules; an emptied section goes too. Returns a new level. */
export function withoutOwn<S extends Section>(level: Level, section: S, key: keyof Settings[S]): Level {
  const { [section]: own, ...rest } = level
  const kept = Object.fromEntries(Object.entries(own ?? {}).filter(([name]) => name !== key))
  return (Object.keys(kept).length ? { ...rest, [section]: kept } : rest) as Level
}
