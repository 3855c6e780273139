import { describe, expect, test } from '@jest/globals'
import { settingsSchema } from '../game/schema.ts'
import { gameWith, settingsWith } from '../testing/games.ts'
import { resolveLevel, writeSettings } from './levels.ts'
import { DEFAULT_BACK } from './back.ts'
import type { Own } from './levels.ts'
import { isInUse, isOff, keysOfRule, ruleOf, type RuleKey } from './off.ts'
import { DEFAULTS, SECTIONS, type Section } from './settings.ts'

const RULES: RuleKey[] = SECTIONS.flatMap((section) =>
  Object.keys(DEFAULTS[section]).flatMap((key) => ruleOf(section, key) ?? []),
)
/** A value by which each rule is on. */
const ON: Record<RuleKey, unknown> = {
  'turn.firstLook': 1,
  'turn.matchLook': 1,
  'turn.missLook': 1,
  'turn.duringLook': 'skip',
  'turn.onOpen': 'turn-back',
  'clock.mode': 'down',
  'clock.lookStopsClock': true,
  'clock.matchBonus': 1,
  'clock.missPenalty': 1,
  'limits.lives': 3,
  'limits.turns': 9,
  'score.match': 1,
  'score.streakStep': 1,
  'score.lucky': 1,
  'score.miss': 1,
  'score.slip': 1,
  'score.perSecondLeft': 1,
  'score.perLifeLeft': 1,
  'score.floorAtZero': false,
  'score.stars': { by: 'score', at: [1, 2, 3] },
  'finish.wait': 1,
  'finish.rounds': 'one',
  'look.missMotion': 'dim',
  'look.celebration': 'fan',
  'look.behind': { kind: 'picture', name: 'gear' },
  'look.marks': 'cells',
  'look.back': DEFAULT_BACK,
}
/** What each rule is when it is off, found by its kind. */
const offOf = (rule: RuleKey): unknown => {
  const on = ON[rule]
  if (typeof on === 'number' && !rule.startsWith('limits')) return 0
  if (typeof on === 'boolean') return !on
  const word: Partial<Record<RuleKey, string>> = {
    'turn.duringLook': 'wait',
    'turn.onOpen': 'stay',
    'finish.rounds': 'any',
    'clock.mode': 'off',
    'look.missMotion': 'none',
    'look.celebration': 'none',
    'look.marks': 'none',
  }
  return word[rule] ?? null
}

test('every rule is known by its place', () => expect(RULES.sort()).toEqual(Object.keys(ON).sort()))

describe.each(RULES)('%s', (rule) => {
  const [section, key] = rule.split('.') as [Section, string]
  const put = (value: unknown) => ({ [key]: value }) as never
  const house = (patch: never) => ({ ...gameWith({}), house: settingsWith({ [section]: patch }) })
  const off = house(put(offOf(rule)))
  const on = house(put(ON[rule]))
  const id = off.levels[0]!.id
  const ownOf = (game: typeof off) => game.levels[0]![section] ?? {}

  test('can be on and off in a game file', () => {
    expect(settingsSchema.safeParse(off.house).success).toBe(true)
    expect(settingsSchema.safeParse(on.house).success).toBe(true)
    expect([isOff(off.house, rule), isOff(on.house, rule)]).toEqual([true, false])
  })
  test('is forgotten by a level that switches it off where it is off', () => {
    const said = keysOfRule(rule).reduce(
      (game, one) => writeSettings(game, id, section, { [one]: DEFAULTS[section][one as never] } as never),
      writeSettings(off, id, section, put(ON[rule])),
    )
    const back = writeSettings(said, id, section, put(offOf(rule)))
    expect(keysOfRule(rule).filter((one) => one in ownOf(back))).toEqual([])
  })
  test('is said by a level that switches it off where it is on', () => {
    const game = writeSettings(on, id, section, put(offOf(rule)))
    expect(ownOf(game)).toHaveProperty(key, offOf(rule))
    expect(isOff(resolveLevel(game, game.levels[0]), rule)).toBe(true)
  })
})

test('a key is in use where its rule is on, and where the way of filling and dealing asks for it', () => {
  const isUsed = (own: Own, section: Section, key: string): boolean =>
    isInUse(settingsWith(own), section, key)
  expect(isUsed({}, 'fill', 'pick')).toBe(true)
  for (const repeat of ['counts', 'with-replacement'] as const)
    expect(isUsed({ fill: { repeat } }, 'fill', 'pick')).toBe(false)
  expect(isUsed({ fill: { repeat: 'counts' } }, 'fill', 'use')).toBe(false)
  expect(isUsed({ fill: { repeat: 'with-replacement' } }, 'fill', 'use')).toBe(true)
  expect(isUsed({ look: { missMotion: 'none' } }, 'look', 'missMoves')).toBe(false)
  expect(isUsed({}, 'look', 'missMoves')).toBe(true)
})
