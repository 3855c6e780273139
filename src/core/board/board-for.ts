import { BOUNDS } from '../settings/bounds.ts'
import { type Settings } from '../settings/settings.ts'
import { cellName } from './cells.ts'

/**
 * The board that suits this many pairs (1 to 200) best: at most as tall as wide, near a square, with as few gaps as
 * that allows. Gaps are taken from the ends of the last row, evenly.
 */
export function boardFor(pairs: number): Settings['board'] {
  const cards = Math.max(1, Math.min(BOUNDS.cards[1] / 2, pairs)) * 2
  let best = { rows: 1, columns: cards, cost: Infinity }
  for (let rows = 1; rows <= BOUNDS.side[1]; rows++) {
    const columns = Math.ceil(cards / rows)
    if (columns < rows || columns > BOUNDS.side[1]) continue
    const gaps = rows * columns - cards
    if (gaps >= columns) continue
    const cost = columns / rows + gaps * 0.6
    if (cost < best.cost) best = { rows, columns, cost }
  }
  const { rows, columns } = best
  const gaps = Array.from({ length: rows * columns - cards }, (_, i) => {
    const column = i % 2 === 0 ? i / 2 : columns - 1 - (i - 1) / 2
    return cellName((rows - 1) * columns + column, columns)
  })
  return { rows, columns, gaps }
}

/** The boards nearest to this one that hold an even number of cards without gaps: a row or a column more or less. */
export function evenBoards(rows: number, columns: number): { rows: number; columns: number }[] {
  const [low, high] = BOUNDS.side
  return [
    { rows, columns: columns + 1 },
    { rows, columns: columns - 1 },
    { rows: rows + 1, columns },
    { rows: rows - 1, columns },
  ].filter(
    (board) =>
      board.rows >= low &&
      board.rows <= high &&
      board.columns >= low &&
      board.columns <= high &&
      (board.rows * board.columns) % 2 === 0,
  )
}
