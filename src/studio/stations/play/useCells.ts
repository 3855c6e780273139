import type { ShallowRef } from 'vue'
import { cellName } from '../../../core/board/cells.ts'
import { pairOf } from '../../../core/deck/card.ts'
import { faceOnCard } from '../../../core/deck/face.ts'
import type { Face } from '../../../core/deck/pair.ts'
import type { Table } from '../../../player/table.ts'
import { useBench } from '../../store/bench.ts'

/** What the cells of a table hold, and what they are called. */
export function useCells(table: ShallowRef<Readonly<Table> | null>) {
  const bench = useBench()
  /** The face on the card in a cell, or null where none lies. */
  function faceOf(cell: number): Face | null {
    const card = table.value?.round?.cells[cell]
    const { pairs } = bench.game!.deck
    // the deck may have become smaller since the deal
    return card === undefined || !pairs[pairOf(card)] ? null : faceOnCard(card, pairs)
  }
  const nameOf = (cell: number): string => cellName(cell, table.value?.settings.board.columns ?? 1)
  return { faceOf, nameOf }
}
