import { describe, expect, test } from '@jest/globals'
import { gameFrom } from '../files/game-file.ts'
import { GAME_FORMAT, GAME_VERSION } from '../game/migrations.ts'
import { gameWith, settingsWith } from '../testing/games.ts'
import { laterKeys, withLaterKeys, withoutLaterDefaults } from './later-keys.ts'
import { DEFAULTS, SECTIONS, type Settings } from './settings.ts'

/** House rules as version 1.0.0 wrote them. */
const before = (house: Settings): Settings =>
  Object.fromEntries(
    SECTIONS.map((section) => {
      const later = laterKeys(section)
      return [
        section,
        Object.fromEntries(Object.entries(house[section]).filter(([key]) => !later.includes(key))),
      ]
    }),
  ) as Settings

describe('house rules without the keys that came later', () => {
  const old = before(DEFAULTS)
  test('have their defaults, whether they come from a file or from the store', () => {
    expect(old).not.toEqual(DEFAULTS)
    expect(withLaterKeys(old)).toEqual(DEFAULTS)
    const read = gameFrom({ ...gameWith(), house: old, format: GAME_FORMAT, version: GAME_VERSION })
    expect(read).toMatchObject({ ok: true, value: { house: DEFAULTS } })
  })
  test('that have all keys stay the very same', () => {
    expect(withLaterKeys(DEFAULTS)).toBe(DEFAULTS)
  })
  test('are what a shipped page holds, but for what differs', () => {
    expect(withoutLaterDefaults(DEFAULTS)).toEqual(old)
    const house = settingsWith({ turn: { onOpen: 'turn-back' } })
    expect(withoutLaterDefaults(house)).toEqual({ ...old, turn: { ...old.turn, onOpen: 'turn-back' } })
    expect(withLaterKeys(withoutLaterDefaults(house))).toEqual(house)
  })
  test('miss no other key', () => {
    const { wait: _wait, ...finish } = DEFAULTS.finish
    const house = { ...DEFAULTS, finish }
    const read = gameFrom({ ...gameWith(), house, format: GAME_FORMAT, version: GAME_VERSION })
    expect(read).toMatchObject({ ok: false, problem: { at: 'house.finish.wait' } })
  })
})
