import type { Board } from '../board/cells.ts'
import type { Card } from '../deck/card.ts'
import { openCells } from '../board/cells.ts'
import { contentsOf } from './contents.ts'
import { keyOf, once } from './step-rule.ts'

/**
 * Whether these cards provably cannot be laid with matching ones `steps` apart. False proves nothing: it may still be
 * possible. A square of `steps` × `steps` cells can hold at most one card of an identical pair, and no two matching
 * cards of a related one. So no such square may have more cells than that allows, and however the board is cut into
 * such squares, there must be at least as many squares as an identical pair has cards, and enough for the two faces of
 * a related one.
 */
export function isProvedTooFar(board: Board, cards: readonly Card[], steps: number): boolean {
  if (steps <= 1) return false
  const contents = contentsOf(cards)
  const identical = contents.flatMap(({ related, count }) => (related ? [] : [count]))
  /** of each related pair, how many cards show each of its faces */
  const related = contents.flatMap(({ related, count }) => (related ? [count / 2] : []))
  const most = identical.length + related.reduce((a, b) => a + b, 0)
  const squares = squaresOn(board, steps)
  if (squares.fullest > most) return true
  return squares.cuts.some(({ count, fullest }) => {
    const needed = related.map((faces) => 2 * Math.ceil(faces / fullest))
    return Math.max(...identical, ...needed) > count
  })
}

type Squares = { fullest: number; cuts: { count: number; fullest: number }[] }

/**
 * The most open cells in any square of that side; and for each way to cut the board into squares, how many hold any
 * open cells, and the most that one holds.
 */
const squaresOn = (board: Board, side: number): Squares =>
  once(keyOf(board, 'squares', side), () => {
    const open = openCells(board)
    const across = Math.ceil(board.columns / side) + 1
    const cells = new Int32Array((Math.ceil(board.rows / side) + 1) * across)
    const cuts: Squares['cuts'] = []
    for (let down = 0; down < side; down++)
      for (let right = 0; right < side; right++) {
        cells.fill(0)
        let [count, fullest] = [0, 0]
        for (const cell of open) {
          const row = Math.floor((Math.floor(cell / board.columns) + down) / side)
          const square = row * across + Math.floor(((cell % board.columns) + right) / side)
          const held = ++cells[square]!
          if (held === 1) count++
          if (held > fullest) fullest = held
        }
        cuts.push({ count, fullest })
      }
    // every square of that side belongs to one of the cuts
    return { fullest: Math.max(...cuts.map(({ fullest }) => fullest)), cuts }
  })
