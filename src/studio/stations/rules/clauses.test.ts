import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { settingsSchema } from '../../../core/game/schema.ts'
import { DEFAULTS, type Settings } from '../../../core/settings/settings.ts'
import { SETTING_WORDS } from '../../parts/settings/setting-words.ts'
import {
  addable,
  CLAUSES,
  clauseOf,
  firstStars,
  isRead,
  keysOf,
  unshown,
  type ClauseName,
} from './clauses.ts'

const names = Object.keys(CLAUSES) as ClauseName[]
/** Settings in which nothing is said. */
const BARE: Settings = {
  ...DEFAULTS,
  turn: { ...DEFAULTS.turn, matchLook: 0, missLook: 0 },
  score: { ...DEFAULTS.score, match: 0, streakStep: 0 },
  finish: { ...DEFAULTS.finish, wait: 0 },
  look: { ...DEFAULTS.look, missMotion: 'none', celebration: 'none' },
}
/** Settings with these clauses put in, one after the other. */
const withClauses = (put: readonly ClauseName[], from = BARE): Settings =>
  put.reduce((settings, name) => {
    const [section] = keysOf(name)
    return { ...settings, [section]: { ...settings[section], ...CLAUSES[name].first(settings) } }
  }, from)

describe('clauses of the story', () => {
  test('where nothing is said, none is read', () => {
    expect(names.filter((name) => isRead(name, BARE, BARE))).toEqual([])
  })
  test('put in, each is read and has a value that a game file takes', () => {
    for (const name of names) {
      const settings = withClauses([name])
      expect([name, isRead(name, settings, BARE)]).toEqual([name, true])
      expect([name, settingsSchema.safeParse(settings).success]).toEqual([name, true])
    }
  })
  test('a clause is either read or offered, unless it could do nothing', () => {
    fc.assert(
      fc.property(fc.subarray(names), (put) => {
        const settings = withClauses(put)
        const offered = [1, 2, 3, 4, 5, 6, 7].flatMap((paragraph) =>
          addable(paragraph, settings, BARE).map(([name]) => name),
        )
        for (const name of names) {
          const clause = CLAUSES[name] as (typeof CLAUSES)['streak']
          const useful = clause.needs?.(settings) ?? true
          expect(offered.includes(name)).toBe(!isRead(name, settings, BARE) && useful)
        }
      }),
    )
  })
  test('what is set is read even where it does nothing, and what a level takes back from the house rules', () => {
    const bonus = withClauses(['matchBonus'])
    expect(bonus.clock.mode).toBe('off')
    expect(isRead('matchBonus', bonus, BARE)).toBe(true)
    expect(isRead('lives', BARE, withClauses(['lives']))).toBe(true)
  })
  test('what a level says itself is read even where it is nothing', () => {
    const level = { id: 'a', name: 'A' }
    for (const name of names) {
      const [section, keys] = keysOf(name)
      for (const key of keys) {
        const own = { ...level, [section]: { [key]: BARE[section][key as never] } }
        expect([name, key, isRead(name, BARE, BARE, own)]).toEqual([name, key, true])
        expect(addable(CLAUSES[name].paragraph, BARE, BARE, own).map(([one]) => one)).not.toContain(name)
      }
      expect(isRead(name, BARE, BARE, level)).toBe(false)
    }
  })
  test('a key that no sentence shows can be given back', () => {
    const up: Settings = { ...BARE, clock: { ...BARE.clock, mode: 'up' } }
    expect(unshown('clock', BARE)).toEqual(['limit', 'startsAt'])
    expect(unshown('clock', up)).toEqual(['limit'])
    expect(unshown('clock', withClauses(['clock']))).toEqual([])
    expect(unshown('lives', BARE)).toEqual(['livesLostOn'])
    expect(unshown('lives', withClauses(['lives']))).toEqual([])
    expect(unshown('missMotion', BARE)).toEqual(['missStrength', 'missTime', 'missMoves'])
    expect(unshown('streak', BARE)).toEqual([])
  })
  test('time without a clock, points for lives without lives and a pause that ends nothing are not offered', () => {
    const offered = (settings: Settings): string[] =>
      [1, 2, 3, 4, 5, 6, 7].flatMap((paragraph) => addable(paragraph, settings, BARE).map(([name]) => name))
    const useless = ['matchBonus', 'missPenalty', 'lookStopsClock', 'perSecondLeft', 'perLifeLeft', 'streak']
    expect(offered(BARE)).toEqual(expect.not.arrayContaining(useless))
    expect(offered(withClauses(['clock', 'lives', 'match']))).toEqual(expect.arrayContaining(useless))
    const button: Settings = { ...BARE, turn: { ...BARE.turn, onMiss: 'button' } }
    expect(offered(button)).not.toContain('duringLook')
    expect(offered(withClauses(['matchLook'], button))).toContain('duringLook')
  })
  test('stars begin in the order that their kind asks for', () => {
    for (const by of ['score', 'turns', 'time'] as const) {
      const [one, two, three] = firstStars(by, DEFAULTS)
      expect(by === 'score' ? one < two && two < three : one > two && two > three).toBe(true)
    }
  })
  test('every setting that a clause holds leads to it, and no other', () => {
    const held = Object.keys(SETTING_WORDS).filter((key) => clauseOf(key))
    expect(held).toEqual(
      expect.arrayContaining([
        'turn.firstLook',
        'clock.limit',
        'limits.lives',
        'score.streakMax',
        'score.stars',
      ]),
    )
    for (const key of [
      'turn.onMatch',
      'finish.then',
      'players.names',
      'look.table',
      'board.rows',
      'sound.match',
    ])
      expect([key, clauseOf(key)]).toEqual([key, null])
  })
})
