import { NO_CARD } from '../deck/card.ts'
import type { Marks } from '../settings/settings.ts'
import { cellName } from './cells.ts'

/**
 * What the back of a card bears: its number among the cards, row by row from 1, or the name of its cell; null where there
 * is no card, and without marks. In: the deal's cells, the cell, and the board's columns.
 */
export function markOf(marks: Marks, cells: readonly number[], cell: number, columns: number): string | null {
  if (marks === 'none' || cells[cell] === undefined || cells[cell] === NO_CARD) return null
  if (marks === 'cells') return cellName(cell, columns)
  let number = 1
  for (let before = 0; before < cell; before++) if (cells[before] !== NO_CARD) number++
  return String(number)
}

/** The marks of all cells. */
export const marksOf = (marks: Marks, cells: readonly number[], columns: number): (string | null)[] =>
  cells.map((_card, cell) => markOf(marks, cells, cell, columns))

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
