import { isRelated, pairOf, type Card } from '../deck/card.ts'

/** A pair among the cards of a board: its place in the deck, its number of cards, and whether it is related. */
export type Content = { pair: number; count: number; related: boolean }

/** The cards of a board, pair by pair, in the order of their first cards. */
export function contentsOf(cards: readonly Card[]): Content[] {
  const contents = new Map<number, Content>()
  for (const card of cards) {
    const pair = pairOf(card)
    const count = (contents.get(pair)?.count ?? 0) + 1
    contents.set(pair, { pair, count, related: isRelated(card) })
  }
  return [...contents.values()]
}
