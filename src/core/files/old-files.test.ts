import { describe, expect, test } from '@jest/globals'
import { passed, runCheck, tableOf } from '../game/check.ts'
import type { Game } from '../game/game.ts'
import type { Event } from '../play/events.ts'
import { differences, replay } from '../play/replay.ts'
import { resultOf } from '../play/result.ts'
import { resolveLevel } from '../settings/levels.ts'
import { DEFAULTS } from '../settings/settings.ts'
import { OLD_GAMES } from '../testing/old-files.ts'
import { readGame, writeGame } from './game-file.ts'
import { readRecord, writeRecord } from './record-file.ts'

const gameFrom = (text: string): Game => {
  const read = readGame(text)
  if (!read.ok) throw new Error(`${read.problem.at}: ${read.problem.message}`)
  return read.value
}
/** An event as it was told before version 3: what is glimpsed now was lucky then, and had its points. */
const asThen = (event: Event, bonus: number, version: number): Event =>
  version < 3 && 'how' in event && event.how === 'glimpsed'
    ? { ...event, how: 'lucky', points: event.points + bonus }
    : event

test('the folder of old files has every version of every format', () => {
  expect(OLD_GAMES.map(({ name }) => name).sort()).toEqual([
    'clockmakers-drawer.v1',
    'clockmakers-drawer.v2',
    'clockmakers-drawer.v3',
    'signal-room.v1',
    'signal-room.v2',
    'signal-room.v3',
    'tile-yard.v2',
    'tile-yard.v3',
  ])
})

describe.each(OLD_GAMES)('$name', ({ text, version, played }) => {
  const game = gameFrom(text)

  test('is written as a game of now that says the same', () => {
    expect(gameFrom(writeGame(game))).toEqual(game)
  })

  test.each(played)('$record.level goes as it went', ({ record, events }) => {
    const read = readRecord(JSON.stringify(record), game)
    if (!read.ok) throw new Error(read.problem.message)
    const table = tableOf(game, read.value)
    if (!table.ok) throw new Error(table.problem.message)
    const { rules, cells } = table.value
    const round = replay(rules, cells, read.value)
    const bonus = rules.score.lucky
    expect(round.events!.map((event) => asThen(event, bonus, version))).toEqual(events)
    // nothing that was expected is wrong now, and but for luck and its points nothing is left out
    const result = resultOf(round)
    expect(differences(read.value.expect!, result)).toEqual([])
    const { lucky, glimpsed, score } = result
    expect(lucky + glimpsed).toBe(record.expect.lucky + (record.expect.glimpsed ?? 0))
    expect(score + (version < 3 ? bonus * glimpsed : 0)).toBe(record.expect.score)
    expect(readRecord(writeRecord(read.value), game)).toEqual(read)
  })

  test('keeps the checks that it had, and they pass', () => {
    for (const check of game.checks ?? [])
      expect(runCheck(game, check)).toMatchObject({ wrong: [], problem: null })
    expect((game.checks ?? []).every((check) => passed(runCheck(game, check)))).toBe(true)
  })
})

test('a check of a level with a first look expects glimpses now, and their points', () => {
  const { text, played } = OLD_GAMES.find(({ name }) => name === 'signal-room.v2')!
  const [check] = gameFrom(text).checks!
  const then = played.find(({ record }) => record.level === check!.level)!.record.expect
  expect(then.lucky).toBeGreaterThan(0)
  expect(check!.expect).toMatchObject({ lucky: 0, glimpsed: then.lucky, score: then.score - 25 * then.lucky })
  expect(check!.story!.filter((line) => line.includes('glimpsed'))).toHaveLength(then.lucky)
})

test('square cards stay square', () => {
  const { text } = OLD_GAMES.find(({ name }) => name === 'tile-yard.v2')!
  expect(resolveLevel(gameFrom(text), undefined).layout.ratio).toBe(1)
})

test('a level that was silent in version 3 is silent, and what the house rules did not say is as it was', () => {
  const { text } = OLD_GAMES.find(({ name }) => name === 'clockmakers-drawer.v3')!
  const game = gameFrom(text)
  expect(game.levels.map((level) => resolveLevel(game, level).sound.on)).toEqual([false, true, false, false])
  expect(game.house.sound).toEqual({ ...DEFAULTS.sound, on: false })
  expect(game.house.volumes).toEqual(DEFAULTS.volumes)
})
