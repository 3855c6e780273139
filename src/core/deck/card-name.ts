import { pairOf, sideOf, type Card } from './card.ts'
import type { Pair } from './pair.ts'

/** "cog/a": how deals and arranged boards name a card. */
export const cardName = (card: Card, pairs: readonly Pair[]): string =>
  `${pairs[pairOf(card)]!.id}/${sideOf(card)}`
