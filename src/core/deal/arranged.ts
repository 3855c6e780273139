import { cardOf, NO_CARD, type Card } from '../deck/card.ts'
import type { Pair } from '../deck/pair.ts'
import type { Settings } from '../settings/settings.ts'
import { bad, good, quoted, type Result } from '../result.ts'
import { cellName, openCells } from '../board/cells.ts'

/**
 * A board laid by hand. In: for every cell "pair-id/a", "pair-id/b" or null where there is a gap.
 * Out: its cells, or the first cell that is wrong: an unknown pair, a card on a gap, a card without a twin.
 */
export function arrangedCells(
  pairs: readonly Pair[],
  board: Settings['board'],
  arranged: readonly (string | null)[],
): Result<Card[]> {
  const size = board.rows * board.columns
  if (arranged.length !== size)
    return bad('arranged', `names ${arranged.length} cells; the board has ${size}`)
  const open = new Set(openCells(board))
  const byId = new Map(pairs.map((pair, index) => [pair.id, index]))
  const waiting = new Map<string, number>()
  const cells: Card[] = []
  for (let cell = 0; cell < size; cell++) {
    const at = `arranged[${cell}]`
    const name = arranged[cell] ?? null
    if ((name === null) === open.has(cell))
      return bad(at, `${cellName(cell, board.columns)} ${name === null ? 'needs a card' : 'is a gap'}`)
    if (name === null) {
      cells.push(NO_CARD)
      continue
    }
    const slash = name.lastIndexOf('/')
    const index = byId.get(name.slice(0, slash))
    const side = name.slice(slash + 1)
    if (index === undefined || (side !== 'a' && side !== 'b'))
      return bad(at, `no card ${quoted(name)} in the deck`)
    const related = pairs[index]!.b !== undefined
    if (side === 'b' && !related)
      return bad(at, `${quoted(name)}: this pair is identical, its side is always a`)
    cells.push(cardOf(index, side, related))
    // a related pair needs as many a as b, an identical one an even number
    const before = waiting.get(pairs[index]!.id) ?? 0
    waiting.set(pairs[index]!.id, related ? before + (side === 'a' ? 1 : -1) : 1 - before)
  }
  for (const [id, left] of waiting) if (left !== 0) return bad('arranged', `a card of "${id}" has no twin`)
  return good(cells)
}
