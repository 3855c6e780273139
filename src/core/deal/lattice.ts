import { pairOf, type Card } from '../deck/card.ts'

/**
 * Lays cards on a lattice: cells whose rows, and whose columns, differ by whole multiples of `steps` are far enough
 * apart for any cards. Each pair goes on one such set of cells that fits: first where it fills the set, then where it
 * leaves the fewest cells. What fits on none is laid on the cells that remain. In: the open cells and the same number
 * of cards. Out: the cards in the order of the cells; some may lie too close.
 */
export function layOnLattice(
  open: readonly number[],
  columns: number,
  cards: readonly Card[],
  steps: number,
): Card[] {
  const sets = new Map<number, number[]>()
  open.forEach((cell, place) => {
    const key = (Math.floor(cell / columns) % steps) * steps + ((cell % columns) % steps)
    sets.set(key, [...(sets.get(key) ?? []), place])
  })
  const groups = new Map<number, Card[]>()
  for (const card of cards) groups.set(pairOf(card), [...(groups.get(pairOf(card)) ?? []), card])
  const board = new Array<Card | undefined>(open.length)
  const lay = (group: readonly Card[], places: number[]): void => {
    for (const card of group) board[places.shift()!] = card
  }
  const over: Card[] = []
  const remaining = [...sets.values()]
  for (const group of [...groups.values()].sort((a, b) => b.length - a.length)) {
    const fits = remaining.filter((places) => places.length >= group.length)
    if (fits.length)
      lay(
        group,
        fits.reduce((best, places) => (places.length < best.length ? places : best)),
      )
    else over.push(...group)
  }
  let next = 0
  return Array.from(board, (card) => card ?? over[next++]!)
}
