import { isOff, keysOfRule, ruleOf } from './off.ts'
import { SECTIONS, type Section, type Settings } from './settings.ts'

/** A level names only what differs from the house rules, section by section, key by key. */
export type Own = { [S in Section]?: Partial<Settings[S]> }
export type Level = { id: string; name: string } & Own

/** What of a game its levels are resolved by. */
type House = { house: Settings }

const NO_LEVEL = {}
/** For each house its levels' settings, as long as both are the same values. */
const resolved = new WeakMap<Settings, WeakMap<object, Settings>>()

/**
 * A level's settings: the house rules, with every key the level names put in their place.
 * A key that the level does not name is the house's own value, so a change there is a change here. The same house and level give the very same settings.
 */
export function resolveLevel({ house }: House, level: Level | undefined): Settings {
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
export function findLevel(
  { levels }: { levels: readonly Level[] },
  id: string | undefined,
): Level | undefined {
  return levels.find((level) => level.id === id)
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

/**
 * A game with keys of a section said where they belong. `rung`: the id of a level, which says them as its own, or null for the house rules. A level that is not
 * there changes nothing. A rule that is off in the house rules too when a level switches it off is no longer said by that level. Returns a new game.
 */
export function writeSettings<G extends House & { levels: Level[] }, S extends Section>(
  game: G,
  rung: string | null,
  section: S,
  patch: Partial<Settings[S]>,
): G {
  if (rung === null)
    return { ...game, house: { ...game.house, [section]: { ...game.house[section], ...patch } } }
  return {
    ...game,
    levels: game.levels.map((level) => {
      if (level.id !== rung) return level
      const next = withOwn(level, section, patch)
      return Object.keys(patch).reduce((one, key) => withoutIdle(game, one, section, key), next)
    }),
  }
}

/** A level without the keys of a rule that is off, with it and without it. */
function withoutIdle(game: House, level: Level, section: Section, key: string): Level {
  const rule = ruleOf(section, key)
  if (!rule || !isOff(game.house, rule) || !isOff(resolveLevel(game, level), rule)) return level
  return withoutOwn(level, section, ...(keysOfRule(rule) as never[]))
}

/** The level with keys of a section given back to the house rules; an emptied section goes too. Returns a new level. */
export function withoutOwn<S extends Section>(
  level: Level,
  section: S,
  ...keys: (keyof Settings[S])[]
): Level {
  const { [section]: own, ...rest } = level
  const kept = Object.fromEntries(
    Object.entries(own ?? {}).filter(([name]) => !keys.includes(name as keyof Settings[S])),
  )
  return (Object.keys(kept).length ? { ...rest, [section]: kept } : rest) as Level
}

/** Every key in which two levels' settings differ, as "section.key", with both values. */
export function differing(one: Settings, other: Settings): { key: string; one: unknown; other: unknown }[] {
  return (Object.keys(one) as (keyof Settings)[]).flatMap((section) =>
    Object.keys(one[section]).flatMap((key) => {
      const [a, b] = [one[section], other[section]].map((values) => (values as Record<string, unknown>)[key])
      return JSON.stringify(a) === JSON.stringify(b) ? [] : [{ key: `${section}.${key}`, one: a, other: b }]
    }),
  )
}

/** What of a level is rules, not board, deck or look. */
const RULES = ['turn', 'clock', 'limits', 'score', 'players', 'finish'] as const

/** A level with the rules of another, as that says them itself; board, cards and look stay. */
export function withRulesOf(level: Level, other: Level): Level {
  const next: Level = { ...level }
  for (const section of RULES) {
    delete next[section]
    if (other[section]) Object.assign(next, { [section]: other[section] })
  }
  return next
}
