import { NO_CARD, pairOf, sideOf, type Card } from './card.ts'
import type { Pair } from './pair.ts'

/** "cog/a": how deals and arranged boards name a card. */
export const cardName = (card: Card, pairs: readonly Pair[]): string =>
  `${pairs[pairOf(card)]!.id}/${sideOf(card)}`

/** The names of the cards of a deal, cell by cell; null where there is none. */
export const cardNames = (cells: readonly Card[], pairs: readonly Pair[]): (string | null)[] =>
  cells.map((card) => (card === NO_CARD ? null : cardName(card, pairs)))
