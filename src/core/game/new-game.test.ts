import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { createRequire } from 'node:module'
import { boardFor, evenBoards } from '../board/board-for.ts'
import { openCells } from '../board/cells.ts'
import { readGame, writeGame } from '../files/game-file.ts'
import { findingsOf } from '../findings/findings.ts'
import { MOST_START_PICTURES, newGame, startPairs } from './new-game.ts'
import { numberWord } from '../deck/number-word.ts'

const library = new Set(
  Object.keys(
    (
      createRequire(`${process.cwd()}/package.json`)('@iconify-json/fluent-emoji-flat/icons.json') as {
        icons: object
      }
    ).icons,
  ),
)

describe('a new game', () => {
  test('can be dealt, won and read back at once, of any kind and size', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('pictures', 'words', 'letters'),
        fc.integer({ min: 1, max: 200 }),
        (kind, count) => {
          const game = newGame('Any', startPairs(kind, count))
          expect(game.deck.pairs).toHaveLength(
            kind === 'pictures' ? Math.min(count, MOST_START_PICTURES) : count,
          )
          // many pairs make small cards, and only that may be said
          expect(findingsOf(game, library).filter(({ code }) => code !== 'tiny-cards')).toEqual([])
          expect(readGame(writeGame(game))).toEqual({ ok: true, value: game })
        },
      ),
    )
  })
  test.each([
    [1, 'one'],
    [15, 'fifteen'],
    [20, 'twenty'],
    [42, 'forty-two'],
    [100, 'one hundred'],
    [199, 'one hundred ninety-nine'],
  ])('%i in words is %s', (n, word) => expect(numberWord(n)).toBe(word))
})

describe('the board for a number of pairs', () => {
  test.each([
    [6, 3, 4, 0],
    [8, 4, 4, 0],
    [18, 6, 6, 0],
    [7, 4, 4, 2],
    [200, 20, 20, 0],
  ])('%i pairs lie on %i × %i with %i gaps', (pairs, rows, columns, gaps) => {
    const board = boardFor(pairs)
    expect([board.rows, board.columns, board.gaps.length]).toEqual([rows, columns, gaps])
  })
  test('it always holds just those pairs, and is never taller than wide', () => {
    for (let pairs = 1; pairs <= 200; pairs++) {
      const board = boardFor(pairs)
      expect(openCells(board)).toHaveLength(pairs * 2)
      expect(board.rows).toBeLessThanOrEqual(board.columns)
    }
  })
  test('even neighbours of an odd board', () => {
    expect(evenBoards(5, 5)).toEqual([
      { rows: 5, columns: 6 },
      { rows: 5, columns: 4 },
      { rows: 6, columns: 5 },
      { rows: 4, columns: 5 },
    ])
    expect(evenBoards(1, 1)).toEqual([
      { rows: 1, columns: 2 },
      { rows: 2, columns: 1 },
    ])
  })
})
