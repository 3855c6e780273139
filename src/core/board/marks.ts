import { NO_CARD } from '../deck/card.ts'
import type { Marks } from '../settings/settings.ts'
import { cellName } from './cells.ts'

/**
 * What the backs bear, by cell: numbers from 1, row by row, or the names of the cells; null where there is no card, and
 * everywhere without marks. In: the deal's cells, and the board's columns.
 */
export function marksOf(marks: Marks, cells: readonly number[], columns: number): (string | null)[] {
  let count = 0
  return cells.map((card, cell) => {
    if (card === NO_CARD || marks === 'none') return null
    return marks === 'numbers' ? String(++count) : cellName(cell, columns)
  })
}

/**
 * What was typed so far, among marks: the cell that bears just that, −1 if none does; and whether a longer mark begins
 * so. Capitals and small letters are the same.
 */
export function markedCell(
  marks: readonly (string | null)[],
  typed: string,
): { cell: number; more: boolean } {
  const wanted = typed.toUpperCase()
  return {
    cell: marks.indexOf(wanted),
    more: marks.some((mark) => mark !== null && mark.length > wanted.length && mark.startsWith(wanted)),
  }
}
