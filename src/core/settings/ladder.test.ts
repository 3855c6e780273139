import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { settingsWith } from '../testing/games.ts'
import { boardsBetween, makeLadder, type End } from './ladder.ts'
import { differing, withRulesOf } from './levels.ts'

const easy: End = { rows: 2, columns: 2, limit: 60_000, missLook: 1500, firstLook: 2000 }
const hard: End = { rows: 6, columns: 6, limit: 180_000, missLook: 500, firstLook: 0 }

describe('a ladder', () => {
  test('goes evenly from its easiest to its hardest level', () => {
    const ladder = makeLadder(easy, hard, 5, [])
    expect(ladder.map(({ board }) => board!.rows! * board!.columns!)).toEqual([4, 12, 20, 30, 36])
    expect(ladder.map(({ clock }) => clock!.limit)).toEqual([60_000, 90_000, 120_000, 150_000, 180_000])
    expect(ladder.map(({ turn }) => turn!.missLook)).toEqual([1500, 1250, 1000, 750, 500])
    expect(ladder.map(({ turn }) => turn!.firstLook)).toEqual([2000, 1500, 1000, 500, 0])
    expect(ladder[4]!.board).toEqual({ rows: 6, columns: 6, gaps: [] })
  })
  test('every board is even, none smaller than the one before, and the ends are as they were asked for', () => {
    const side = fc.integer({ min: 1, max: 10 })
    const board = fc
      .record({ rows: side, columns: side })
      .filter(({ rows, columns }) => (rows * columns) % 2 === 0)
    fc.assert(
      fc.property(board, board, fc.integer({ min: 2, max: 12 }), (one, other, count) => {
        const [from, to] = one.rows * one.columns <= other.rows * other.columns ? [one, other] : [other, one]
        const boards = boardsBetween(from, to, count)
        expect([boards[0], boards.at(-1), boards.length]).toEqual([from, to, count])
        const cards = boards.map(({ rows, columns }) => rows * columns)
        for (const each of cards) expect(each % 2).toBe(0)
        expect(cards).toEqual([...cards].sort((a, b) => a - b))
        const straight = (i: number): number =>
          from.rows * from.columns + ((to.rows * to.columns - from.rows * from.columns) * i) / (count - 1)
        boards.forEach(({ rows, columns }, i) =>
          expect(Math.abs(rows * columns - straight(i)) / straight(i)).toBeLessThan(0.5),
        )
      }),
    )
  })
  test('has no clock if one of its ends has none, and ids of its own', () => {
    const ladder = makeLadder({ ...easy, limit: null }, hard, 2, ['level-1'])
    expect(ladder.map(({ clock }) => clock)).toEqual([{ mode: 'off' }, { mode: 'off' }])
    expect(new Set([...ladder.map(({ id }) => id), 'level-1']).size).toBe(3)
  })
})

test('two levels side by side: only what differs', () => {
  const one = settingsWith({ turn: { missLook: 500 } })
  const other = settingsWith({ board: { gaps: ['A1', 'A2'] } })
  expect(differing(one, other)).toEqual([
    { key: 'board.gaps', one: [], other: ['A1', 'A2'] },
    { key: 'turn.missLook', one: 500, other: 1000 },
  ])
  expect(differing(one, one)).toEqual([])
})

test('rules are copied, board and name are not', () => {
  const level = { id: 'a', name: 'A', board: { rows: 2 }, clock: { limit: 5000 } }
  const other = { id: 'b', name: 'B', board: { rows: 6 }, turn: { missLook: 300 } }
  expect(withRulesOf(level, other)).toEqual({
    id: 'a',
    name: 'A',
    board: { rows: 2 },
    turn: { missLook: 300 },
  })
})
