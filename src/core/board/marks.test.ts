import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { NO_CARD } from '../deck/card.ts'
import { markedCell, marksOf } from './marks.ts'

const CELLS = [0, NO_CARD, 4, 4, 0, 8, 8]

describe('marks on backs', () => {
  test.each([
    ['none' as const, [null, null, null, null, null, null, null]],
    ['numbers' as const, ['1', null, '2', '3', '4', '5', '6']],
    ['cells' as const, ['A1', null, 'C1', 'A2', 'B2', 'C2', 'A3']],
  ])('%s', (marks, expected) => expect(marksOf(marks, CELLS, 3)).toEqual(expected))

  test('are found by what is typed: at once, or when nothing longer can follow', () => {
    const marks = marksOf(
      'numbers',
      Array.from({ length: 12 }, () => 0),
      4,
    )
    expect(markedCell(marks, '2')).toEqual({ cell: 1, more: false })
    expect(markedCell(marks, '1')).toEqual({ cell: 0, more: true })
    expect(markedCell(marks, '12')).toEqual({ cell: 11, more: false })
    expect(markedCell(marks, '13')).toEqual({ cell: -1, more: false })
    const cells = marksOf('cells', CELLS, 3)
    expect(markedCell(cells, 'c')).toEqual({ cell: -1, more: true })
    expect(markedCell(cells, 'b2')).toEqual({ cell: 4, more: false })
    expect(markedCell(cells, 'B1')).toEqual({ cell: -1, more: false })
  })

  test('name each card once, on any board', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('numbers' as const, 'cells' as const),
        fc.array(fc.constantFrom(NO_CARD, 0, 4), { minLength: 1, maxLength: 400 }),
        fc.integer({ min: 1, max: 20 }),
        (kind, board, columns) => {
          const marks = marksOf(kind, board, columns)
          marks.forEach((mark, cell) => {
            expect(mark === null).toBe(board[cell] === NO_CARD)
            if (mark !== null) expect(markedCell(marks, mark.toLowerCase()).cell).toBe(cell)
          })
        },
      ),
    )
  })
})
