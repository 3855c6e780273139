import type { Game, Level } from './game.ts'
import { SECTIONS, type Section, type Settings } from './settings.ts'

/**
 * A level's settings: the house rules, with every key the level names put in their place.
 * A key that the level does not name is the house's own value, so a change there is a change here.
 */
export function resolveLevel(game: Pick<Game, 'house'>, level: Level | undefined): Settings {
  const settings = { ...game.house } as Record<Section, object>
  if (level)
    for (const section of SECTIONS) settings[section] = { ...game.house[section], ...(level[section] ?? {}) }
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
