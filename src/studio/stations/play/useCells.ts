import type { ShallowRef } from 'vue'
import { cellName } from '../../../core/board/cells.ts'
import { pairOf } from '../../../core/deck/card.ts'
import { faceOnCard } from '../../../core/deck/face.ts'
import type { Face } from '../../../core/deck/pair.ts'
import type { Table } from '../../../player/table.ts'
import { useBench } from '../../store/bench.ts'

/** The content of a table's cells, and their names. */
export function useCells(table: ShallowRef<Readonly<Table> | null>) {
  const bench = useBench()
  /** The face of the card in a cell, or null if there is none. */
  function faceOf(cell: number): Face | null {
    const card = table.value?.round?.cells[cell]
    const { pairs } = bench.game!.deck
    // the deck may have shrunk since the deal
    return card === undefined || !pairs[pairOf(card)] ? null : faceOnCard(card, pairs)
  }
  const nameOf = (cell: number): string => cellName(cell, table.value?.settings.board.columns ?? 1)
  return { faceOf, nameOf }
}
