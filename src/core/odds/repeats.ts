import { NO_CARD, pairOf } from '../deck/card.ts'

/** Whether a deal holds more than two cards of one pair. */
export function repeats(cells: readonly number[]): boolean {
  const counts = new Map<number, number>()
  for (const card of cells) {
    if (card === NO_CARD) continue
    const count = (counts.get(pairOf(card)) ?? 0) + 1
    if (count > 2) return true
    counts.set(pairOf(card), count)
  }
  return false
}
