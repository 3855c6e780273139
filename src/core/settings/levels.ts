import { isInUse, isOff, keysOfRule, ruleOf } from './off.ts'
import { SECTIONS, type Section, type Settings } from './settings.ts'

/** A level names only what differs from the house rules, section by section, key by key. */
export type Own = { [S in Section]?: Partial<Settings[S]> }
export type Level = { id: string; name: string } & Own

/** The part of a game that resolves its levels. */
type House = { house: Settings }

const NO_LEVEL = {}
/** The resolved settings of each level, by house rules, for as long as both are the same values. */
const resolved = new WeakMap<Settings, WeakMap<object, Settings>>()

/**
 * A level's settings: the house rules, with every key that the level sets replaced. A key that the level does not set
 * is the house's own value, so a change there shows here. The same house and level give the very same object.
 */
export function resolveLevel({ house }: House, level: Level | undefined): Settings {
  let ofHouse = resolved.get(house)
  if (!ofHouse) resolved.set(house, (ofHouse = new WeakMap()))
  const before = ofHouse.get(level ?? NO_LEVEL)
  if (before) return before
  const settings = { ...house } as Record<Section, object>
  if (level)
    for (const section of SECTIONS)
      if (level[section]) settings[section] = { ...house[section], ...level[section] }
  ofHouse.set(level ?? NO_LEVEL, settings as Settings)
  return settings as Settings
}

/** The level with this id, or undefined. */
export function findLevel(
  { levels }: { levels: readonly Level[] },
  id: string | undefined,
): Level | undefined {
  return levels.find((level) => level.id === id)
}

/** Whether a level sets this key itself instead of following the house rules. */
export function isOwn(level: Level, section: Section, key: string): boolean {
  const own = level[section]
  return own !== undefined && Object.hasOwn(own, key)
}

/** Every key that a level sets itself, as "section.key". */
export function ownKeys(level: Level): string[] {
  return SECTIONS.flatMap((section) => Object.keys(level[section] ?? {}).map((key) => `${section}.${key}`))
}

/** The level with some keys of a section set by itself. Returns a new level. */
export function withOwn<S extends Section>(level: Level, section: S, patch: Partial<Settings[S]>): Level {
  return { ...level, [section]: { ...(level[section] ?? {}), ...patch } }
}

/**
 * A game with keys of a section written where they belong. `rung`: the id of a level, which sets them as its own, or
 * null for the house rules. An unknown level changes nothing. If a level switches off a rule that the house rules have
 * off too, it no longer sets that rule. Returns a new game.
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
  return withoutOwn(level, section, ...keysOfRule(rule))
}

/** The level with keys of a section given back to the house rules; an emptied section goes too. Returns a new level. */
export function withoutOwn(level: Level, section: Section, ...keys: readonly string[]): Level {
  const { [section]: own, ...rest } = level
  const remaining = Object.fromEntries(Object.entries(own ?? {}).filter(([name]) => !keys.includes(name)))
  return (Object.keys(remaining).length ? { ...rest, [section]: remaining } : rest) as Level
}

/** A setting that two levels do not share, as "section.key", with both values. */
export type Difference = { key: string; one: unknown; other: unknown }

/** Every key in which the settings of two levels differ; one that is in use on neither is left out. */
export const differences = (one: Settings, other: Settings): Difference[] =>
  SECTIONS.flatMap((section) =>
    Object.keys(one[section]).flatMap((key): Difference[] => {
      const [a, b] = [one[section], other[section]].map((values) => (values as Record<string, unknown>)[key])
      const isShared =
        JSON.stringify(a) === JSON.stringify(b) ||
        (!isInUse(one, section, key) && !isInUse(other, section, key))
      return isShared ? [] : [{ key: `${section}.${key}`, one: a, other: b }]
    }),
  )

/** The parts of a level that are rules, not board, deck or look. */
const RULES = ['turn', 'clock', 'limits', 'score', 'players', 'finish'] as const

/** A level with the rules of another, set as that one sets them; board, cards and look stay. */
export function withRulesOf(level: Level, other: Level): Level {
  const next: Level = { ...level }
  for (const section of RULES) {
    delete next[section]
    if (other[section]) Object.assign(next, { [section]: other[section] })
  }
  return next
}
