import { NO_CARD, pairOf, sideOf } from '../deck/card.ts'
import { cellName } from '../board/cells.ts'
import type { Cells } from '../deal/deal.ts'
import type { Layout } from '../board/geometry.ts'
import type { Pair } from '../deck/pair.ts'

/** A row of the placement table: where a card lies, in CSS px from the table's upper left corner, and what it shows. */
export type Placement = {
  cell: string
  x: number
  y: number
  width: number
  height: number
  pair: string
  face: 'a' | 'b'
}

/** The placement table of a deal on a screen; gaps have no row. */
export function placements(
  board: Layout,
  columns: number,
  cells: Cells,
  pairs: readonly Pair[],
): Placement[] {
  return cells.flatMap((card, cell) =>
    card === NO_CARD
      ? []
      : [
          {
            cell: cellName(cell, columns),
            ...board.places[cell]!,
            pair: pairs[pairOf(card)]!.id,
            face: sideOf(card),
          },
        ],
  )
}
