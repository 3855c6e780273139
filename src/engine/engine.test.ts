import { describe, expect, test } from '@jest/globals'
import { readFileSync } from 'node:fs'
import * as engine from './engine.ts'

const TEXT = readFileSync('demo/clockmakers-drawer.game.json', 'utf8')
const read = engine.readGame(TEXT)
if (!read.ok) throw new Error(read.problem.message)
const game = read.value
const dealt = engine.deal(game, 'warm-up', 'tick-1')
if (!dealt.ok) throw new Error(dealt.problem.message)
const cells = dealt.value.cells

function roundOf(): engine.Round {
  const round = engine.startRound(game, { level: 'warm-up', cells })
  if (!round.ok) throw new Error(round.problem.message)
  return round.value
}
const placeOf = (result: engine.Result<unknown>): string | null => (result.ok ? null : result.problem.at)
const RECORD = { game: game.id, level: 'warm-up', seed: 'tick-1' }

describe('times', () => {
  test('one that no round can have is a problem, and changes nothing', () => {
    const acts = [
      (round: engine.Round, at: number) => engine.press(round, at, 0),
      engine.advance,
      engine.turnBack,
      engine.pause,
      engine.resume,
    ]
    for (const at of [NaN, -1, Infinity, -Infinity, engine.LAST_TIME + 1, 2 ** 30 - 1, Date.now()])
      for (const act of acts) {
        const round = roundOf()
        const before = structuredClone(round)
        expect(placeOf(act(round, at))).toBe('at')
        expect(round).toEqual(before)
      }
  })

  test('the last one is taken, and the round still ends a look and hears presses', () => {
    const round = roundOf()
    expect(engine.press(round, engine.LAST_TIME, 0).ok).toBe(true)
    expect([round.at, round.phase, round.states[0]]).toEqual([engine.LAST_TIME, 'one-up', 'up'])
    engine.press(round, engine.LAST_TIME, cells.indexOf(cells[0]!, 1))
    expect(engine.resultOf(round).matches).toBe(1)
  })

  test('a record with one is not played', () => {
    for (const at of [NaN, -1, Infinity, 2 ** 30]) {
      const record = { ...RECORD, inputs: [{ at, do: 'press' as const, cell: 0 }] }
      expect(placeOf(engine.replay(game, record))).toBe('inputs[0].at')
    }
    for (const until of [NaN, Infinity, 2 ** 30])
      expect(placeOf(engine.replay(game, { ...RECORD, inputs: [], until }))).toBe('until')
    expect(placeOf(engine.replay(game, { ...RECORD, inputs: [], until: engine.LAST_TIME }))).toBeNull()
  })
})

test('a record is played only if it is of the level and the seed that were given', () => {
  const record = { ...RECORD, inputs: [] }
  const own = { ...record, deal: [...cells] }
  const placeFor = (played: engine.PlayRecord, given: object): string | null =>
    placeOf(engine.replay(game, played, given))
  expect(placeFor(record, { level: 'warm-up', seed: 'tick-1' })).toBeNull()
  expect(placeFor(record, { level: 'bench' })).toBe('level')
  expect(placeFor(record, { seed: 'tick-2' })).toBe('seed')
  expect(placeFor(own, { seed: 'tick-1' })).toBe('deal')
  expect(placeFor(own, { level: 'warm-up' })).toBeNull()
})

describe('what a program gives wrongly is a problem', () => {
  test('cards that do not make the board', () => {
    const twice = [...cells.slice(0, -1), 'no-such-pair/a']
    const wrong: [unknown, string][] = [
      [undefined, 'cells'],
      [cells.slice(1), 'cells'],
      [twice, `cells[${cells.length - 1}]`],
      [[null, ...cells.slice(1)], 'cells[0]'],
      [[cells.find((card) => card !== cells[0]), ...cells.slice(1)], 'cells'],
    ]
    for (const [given, place] of wrong)
      expect(placeOf(engine.startRound(game, { level: 'warm-up', cells: given as string[] }))).toBe(place)
    expect(placeOf(engine.startRound(game, { level: 'none', cells }))).toBe('level')
  })

  test('seeds, cards, and parts of records', () => {
    for (const seed of [undefined, '', 5, 'x'.repeat(65)]) {
      expect(engine.isSeed(seed)).toBe(false)
      expect(placeOf(engine.deal(game, 'warm-up', seed as string))).toBe('seed')
      expect(placeOf(engine.replay(game, { ...RECORD, seed: seed as string, inputs: [] }))).toBe('seed')
    }
    for (const card of [-1, 0.5, NaN, 10_000]) expect(placeOf(engine.faceOf(game, card))).toBe('card')
    const bare = RECORD as engine.PlayRecord
    expect(placeOf(engine.replay(game, bare))).toBe('inputs')
    for (const input of [null, {}, { at: 0, do: 'press' }, { at: 0, do: 'turn' }])
      expect(placeOf(engine.replay(game, { ...bare, inputs: [input as engine.Input] }))).toBe('inputs[0]')
    expect(placeOf(engine.replay(game, { ...bare, inputs: [], deal: 5 as unknown as [] }))).toBe('deal')
  })

  test('boards and counts that no level can have', () => {
    const withLevel = (own: object): engine.Game =>
      ({ ...game, levels: [{ ...game.levels[0]!, ...own }] }) as engine.Game
    for (const rows of [-1, 0, 21, 2.5, '3']) {
      const wrong = withLevel({ board: { rows } })
      for (const result of [
        engine.settingsOf(wrong, 'warm-up'),
        engine.deal(wrong, 'warm-up', 'a'),
        engine.placesOf(wrong, 'warm-up', { width: 360, height: 640, safe: 0 }),
        engine.parOf(wrong, 'warm-up'),
        engine.replay(wrong, { ...RECORD, inputs: [] }),
      ])
        expect(placeOf(result)).toBe('board.rows')
    }
    const counted = withLevel({ fill: { repeat: 'counts', counts: { cog: 1e9 } } })
    expect(placeOf(engine.deal(counted, 'warm-up', 'a'))).toBe('fill.counts.cog')
  })
})
