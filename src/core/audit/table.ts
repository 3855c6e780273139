import { openCells, type Board } from '../board/cells.ts'
import { stepsBetween } from '../board/steps.ts'

/**
 * How two places can be placed to each other: class 0 side by side (one step, sharing an edge), class 1 corner to
 * corner (one step), class k from 2 on: k steps apart.
 */
export const BESIDE = 0
const CORNER = 1
/** The steps, in any of eight directions, between two places of this class. */
export const stepsOfClass = (kind: number): number => Math.max(1, kind)

/**
 * The class of any two places (the cells that hold a card, in order), as a square table, and how many classes there
 * are.
 */
export type Relations = { size: number; kinds: number; kind: Uint8Array }

export function relationsOn(board: Board): Relations {
  const open = openCells(board)
  const size = open.length
  const kind = new Uint8Array(size * size)
  let most = CORNER
  open.forEach((one, i) =>
    open.forEach((other, j) => {
      if (i === j) return
      const steps = stepsBetween(one, other, board.columns)
      const inLine = one % board.columns === other % board.columns
      const inRow = Math.floor(one / board.columns) === Math.floor(other / board.columns)
      const column = steps === 1 ? (inLine || inRow ? BESIDE : CORNER) : steps
      kind[i * size + j] = column
      if (column > most) most = column
    }),
  )
  return { size, kinds: most + 1, kind }
}
