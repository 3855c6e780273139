import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { settingsWith } from '../testing/games.ts'
import { boardsBetween, ladderEnds, makeLadder, namesAfter, nestedPairs, type LadderEnd } from './ladder.ts'
import { differences, withRulesOf } from './levels.ts'

const easy: LadderEnd = { rows: 2, columns: 2, limit: 60_000, missLook: 1500, firstLook: 2000 }
const hard: LadderEnd = { rows: 6, columns: 6, limit: 180_000, missLook: 500, firstLook: 0 }

describe('a ladder', () => {
  test.each([0, 1, 2, 4, 6, 9, 18, 500])('begins with ends that a deck of %i pairs fills', (deck) => {
    const [from, to] = ladderEnds(deck)
    for (const { rows, columns } of [from, to]) {
      expect((rows * columns) % 2).toBe(0)
      if (deck > 0) expect((rows * columns) / 2).toBeLessThanOrEqual(Math.max(deck, 4))
    }
    expect(to.rows * to.columns).toBeGreaterThanOrEqual(from.rows * from.columns)
  })
  test('goes evenly from its easiest to its hardest level', () => {
    const ladder = makeLadder(easy, hard, 5, { taken: [], names: namesAfter([], 5) })
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
    const ladder = makeLadder({ ...easy, limit: null }, hard, 2, {
      taken: ['level-1'],
      names: namesAfter([], 2),
    })
    expect(ladder.map(({ clock }) => clock)).toEqual([{ mode: 'off' }, { mode: 'off' }])
    expect(new Set([...ladder.map(({ id }) => id), 'level-1']).size).toBe(3)
  })
})

test('three levels are three, and their names go on after those that are there', () => {
  const there = ['Warm-up', 'Bench', 'Level 6', 'Cabinet'].map((name) => ({ name }))
  const ladder = makeLadder(easy, hard, 3, { taken: ['level-5'], names: namesAfter(there, 3) })
  expect(ladder.map(({ name }) => name)).toEqual(['Level 5', 'Level 7', 'Level 8'])
  expect(ladder.map(({ id }) => id)).toEqual(['level-5-2', 'level-7', 'level-8'])
  expect(ladder.map(({ board }) => [board!.rows, board!.columns])).toEqual([
    [2, 2],
    [5, 4],
    [6, 6],
  ])
})

describe('nested decks', () => {
  test('grow from what the first board takes to the whole deck', () => {
    expect(nestedPairs([3, 8, 12], 24)).toEqual([3, 14, 24])
    expect(nestedPairs([3], 24)).toEqual([24])
    expect(nestedPairs([], 24)).toEqual([])
  })
  test('lie within each other, hold what each board takes where the deck does, and end with all of it', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 200 }), { minLength: 1, maxLength: 30 }),
        fc.integer({ min: 1, max: 1000 }),
        (needed, deck) => {
          const firsts = nestedPairs(needed, deck)
          expect(firsts).toEqual([...firsts].sort((a, b) => a - b))
          firsts.forEach((first, i) => expect(first).toBeGreaterThanOrEqual(Math.min(deck, needed[i]!)))
          expect(firsts.at(-1)).toBe(deck)
        },
      ),
    )
  })
  test('are what the levels of a ladder use', () => {
    const ladder = makeLadder(easy, hard, 3, { taken: [], names: namesAfter([], 3), deck: 30 })
    expect(ladder.map(({ fill }) => fill!.use)).toEqual([
      { from: 1, to: 2 },
      { from: 1, to: 16 },
      { from: 1, to: 30 },
    ])
  })
})

test('two levels side by side: only what differs', () => {
  const one = settingsWith({ turn: { missLook: 500 } })
  const other = settingsWith({ board: { gaps: ['A1', 'A2'] } })
  expect(differences(one, other)).toEqual([
    { key: 'board.gaps', one: [], other: ['A1', 'A2'] },
    { key: 'turn.missLook', one: 500, other: 1000 },
  ])
  expect(differences(one, one)).toEqual([])
  // a clock that both have switched off runs from no time
  const clock = (mode: 'off' | 'down', limit: number) => settingsWith({ clock: { mode, limit } })
  expect(differences(clock('off', 5000), clock('off', 9000))).toEqual([])
  expect(differences(clock('off', 5000), clock('down', 9000)).map(({ key }) => key)).toEqual([
    'clock.mode',
    'clock.limit',
  ])
  expect(differences(settingsWith({ deal: { steps: 2 } }), settingsWith({ deal: { steps: 4 } }))).toEqual([])
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
