import type { Settings } from '../settings/settings.ts'
import { NO_CARD, pairOf } from '../deck/card.ts'

/** Whether the deals of a level may hold more than two cards of one pair. In: its settings and one of its deals. */
export function repeats({ fill, deal }: Pick<Settings, 'fill' | 'deal'>, cells: readonly number[]): boolean {
  if (fill.repeat === 'with-replacement' && deal.way !== 'arranged') return true
  const counts = new Map<number, number>()
  for (const card of cells) {
    if (card === NO_CARD) continue
    const count = (counts.get(pairOf(card)) ?? 0) + 1
    if (count > 2) return true
    counts.set(pairOf(card), count)
  }
  return false
}
