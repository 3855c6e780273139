import { CARD_RATIOS, DEFAULTS } from '../settings/settings.ts'
import { migratePlayed, type OldPlayed } from '../play/migrate-played.ts'

/** What the head of a game file says: its format, and the newest version of it. */
export const GAME_FORMAT = 'lucky-twin/game'
export const GAME_VERSION = 3

/** Anything with the keys of an object; the schema refuses the rest later. */
export type Loose = Record<string, unknown>
export const isLoose = (value: unknown): value is Loose =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

const { flip, dealIn, behind, missMotion, missStrength, celebration } = DEFAULTS.look
/** What house rules did not always say, with the value that held before: whole sections, and keys of others. */
const LATER: Record<string, Loose> = {
  players: DEFAULTS.players,
  layout: DEFAULTS.layout,
  head: DEFAULTS.head,
  sound: DEFAULTS.sound,
  volumes: DEFAULTS.volumes,
  look: { flip, dealIn, behind, missMotion, missStrength, celebration },
  fill: { counts: DEFAULTS.fill.counts },
}

/**
 * Brings an older game up to date, before it is read with the schema. In: parsed JSON without its head, and the version of its file.
 * Version 1 had one player only and no kept checks. Up to version 2 a card had one of three shapes, and a match that only the first look had shown was lucky. Within version 3,
 * sounds were first only on or off, and house rules were extended.
 * Out: the game, with what its house rules leave out as it was then.
 */
export function migrateGame(game: Loose, version: number): Loose {
  if (!isLoose(game.house)) return game
  const { house, ...rest } = game
  const { levels, checks } = game
  const then = renamed(house as Loose)
  const before = { ...rest, house: then }
  return {
    ...before,
    house: completed(then),
    ...(Array.isArray(levels)
      ? { levels: levels.map((level: unknown) => (isLoose(level) ? renamed(level) : level)) }
      : {}),
    ...(version < 3 && Array.isArray(checks)
      ? { checks: checks.map((check: unknown) => (isLoose(check) ? migrateCheck(before, check) : check)) }
      : {}),
  }
}

/** House rules completed with everything they did not always say. */
function completed(house: Loose): Loose {
  const whole = { ...house }
  for (const [section, keys] of Object.entries(LATER)) {
    const said = house[section] ?? {}
    if (isLoose(said)) whole[section] = { ...keys, ...said }
  }
  return whole
}

/** A level or the house rules with card shape and sounds under their new names. */
const renamed = (rules: Loose): Loose => soundOnForSounds(ratioForShape(rules))

function soundOnForSounds(rules: Loose): Loose {
  if (!isLoose(rules.look) || !('sounds' in rules.look)) return rules
  const { sounds, ...look } = rules.look
  const { look: _, ...rest } = rules
  return { ...rest, ...(Object.keys(look).length ? { look } : {}), sound: { on: sounds } }
}

/** A level or the house rules with the ratio of its cards in place of their shape. */
function ratioForShape(rules: Loose): Loose {
  if (!isLoose(rules.look) || !('shape' in rules.look)) return rules
  const { shape, ...look } = rules.look
  const ratio = Object.hasOwn(CARD_RATIOS, String(shape))
    ? CARD_RATIOS[shape as keyof typeof CARD_RATIOS]
    : shape
  const { look: _, ...rest } = rules
  return {
    ...rest,
    ...(Object.keys(look).length ? { look } : {}),
    layout: { ...(isLoose(rules.layout) ? rules.layout : {}), ratio },
  }
}

function migrateCheck({ house, levels }: Loose & { house: Loose }, check: Loose): Loose {
  const level = Array.isArray(levels)
    ? levels.find((one: unknown): one is Loose => isLoose(one) && one.id === check.level)
    : undefined
  const say = (section: string): Loose => ({
    ...(isLoose(house[section]) ? house[section] : {}),
    ...(isLoose(level?.[section]) ? level[section] : {}),
  })
  return migratePlayed(check as OldPlayed, { turn: say('turn'), score: say('score') }) as Loose
}
