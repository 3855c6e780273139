import { describe, expect, test } from '@jest/globals'
import type { Own } from '../settings/levels.ts'
import { READY_MINDS } from '../settings/mind.ts'
import type { Settings } from '../settings/settings.ts'
import { levelOf } from '../testing/levels.ts'
import { playGames } from './games.ts'
import { withoutLimits } from './without-limits.ts'
import { isWonWithin, looksAddUp, decidesWins, withLongerLook } from './wins-under-limits.ts'

const [PAIRS, GAMES] = [6, 400]
const fleeting = READY_MINDS[3]!

describe('games that nothing ends', () => {
  test('are still won with the last ms of the clock, the last turn and the last life but one', () => {
    const { settings, ...level } = levelOf(PAIRS)
    const unlimited = playGames({ ...level, settings }, fleeting, 'edge', 1, 1)
    const [time, turns] = [unlimited.time[0]!, unlimited.turns[0]!]
    const isWon = (limit: number, most: number, lives: number): boolean =>
      isWonWithin(
        unlimited,
        0,
        {
          ...settings,
          clock: { ...settings.clock, mode: 'down', limit },
          limits: { lives, livesLostOn: 'miss', turns: most },
        },
        PAIRS,
      )
    const misses = turns - PAIRS
    expect(isWon(time, turns, misses + 1)).toBe(true)
    expect([
      isWon(time - 1, turns, misses + 1),
      isWon(time, turns - 1, misses + 1),
      isWon(time, turns, misses),
    ]).toEqual([false, false, false])
  })
  test.each<[string, Own]>([
    ['a clock', { clock: { mode: 'down', limit: 45_000 } }],
    [
      'a clock that stands still during a look',
      { clock: { mode: 'down', limit: 30_000, lookStopsClock: true } },
    ],
    [
      'a clock that starts at the deal',
      { clock: { mode: 'down', limit: 46_000, startsAt: 'deal' }, turn: { firstLook: 900 } },
    ],
    ['lives', { limits: { lives: 8 } }],
    ['lives that slips cost', { limits: { lives: 3, livesLostOn: 'slip' } }],
    ['a turn limit', { limits: { turns: 14 } }],
    ['all of them', { clock: { mode: 'down', limit: 50_000 }, limits: { turns: 16, lives: 9 } }],
  ])('tell game by game which are won under %s', (_name, own) => {
    const level = levelOf(PAIRS, own)
    expect(decidesWins(level.settings)).toBe(true)
    const real = playGames(level, fleeting, 'within', 1, GAMES)
    const unlimited = playGames(
      { ...level, settings: withoutLimits(level.settings) },
      fleeting,
      'within',
      1,
      GAMES,
    )
    const told = Array.from(unlimited.ends, (_, place) =>
      isWonWithin(unlimited, place, level.settings, PAIRS),
    )
    expect(told).toEqual(Array.from(real.ends, (end) => end === 0))
    // some are won and some are not, or nothing would be shown
    expect(new Set(told).size).toBe(2)
  })
  test('do not where matches or misses move the clock that counts down', () => {
    const clock = { mode: 'down', limit: 45_000 } as const
    for (const moved of [{ matchBonus: 1000 }, { missPenalty: 1000 }])
      expect(decidesWins(levelOf(PAIRS, { clock: { ...clock, ...moved } }).settings)).toBe(false)
    expect(decidesWins(levelOf(PAIRS, { clock: { mode: 'up', matchBonus: 1000 } }).settings)).toBe(true)
  })
  test('take as long on a clock that counts up, which bonus and penalty move', () => {
    const level = levelOf(PAIRS, { clock: { mode: 'up', matchBonus: 700, missPenalty: 300 } })
    const timesOf = (settings: Settings) => playGames({ ...level, settings }, fleeting, 'up', 1, 20).time
    expect(timesOf(withoutLimits(level.settings))).toEqual(timesOf(level.settings))
  })
  test('are as much longer as their misses are looked at', () => {
    const played = (missLook: number) =>
      playGames(levelOf(PAIRS, { turn: { missLook } }), fleeting, 'look', 1, GAMES)
    expect(withLongerLook(played(700), 650, PAIRS).time).toEqual(played(1350).time)
    expect(looksAddUp(levelOf(PAIRS).settings)).toBe(true)
    for (const own of [
      { turn: { duringLook: 'skip' } },
      { turn: { onMiss: 'button' } },
      { clock: { lookStopsClock: true } },
    ] as Own[])
      expect(looksAddUp(levelOf(PAIRS, own).settings)).toBe(false)
  })
})
