/**
 * A physical card, as one whole number: which pair of the deck, which of its faces, and whether the pair is related.
 * Boards are lists of these numbers, which makes a million deals or games a matter of seconds; read them with the
 * functions below.
 */
export type Card = number
export type Side = 'a' | 'b'

/** Stands in a cell that holds no card. */
export const NO_CARD = -1

/** The card of a pair (its place in the deck, from 0) that shows this side. An identical pair has only side a. */
export const cardOf = (pair: number, side: Side, related: boolean): Card =>
  pair * 4 + (related ? 2 : 0) + (side === 'b' ? 1 : 0)

/** Which pair of the deck a card belongs to. */
export const pairOf = (card: Card): number => card >> 2

/** Whether a card belongs to a related pair. */
export const isRelated = (card: Card): boolean => (card & 2) !== 0

/** The card that matches this one: the other card of a related pair, a second copy of an identical one. */
export const twinOf = (card: Card): Card => (isRelated(card) ? card ^ 1 : card)

export const sideOf = (card: Card): Side => (card & 1 ? 'b' : 'a')

/** A card's face as a number: twice the pair's place in the deck, plus one for side b. */
export const faceIndex = (card: Card): number => ((card >> 2) << 1) | (card & 1)

/** The face of a card's twin: the other face of a related pair, the same face of an identical one. */
export const twinFace = (card: Card): number => faceIndex(twinOf(card))

/**
 * Whether two cards match: different cards (the caller makes sure that their cells differ), of the same pair, and
 * either the pair is identical or they show different faces of it. Pictures, texts and names are never compared.
 */
export const cardsMatch = (one: Card, other: Card): boolean =>
  one >> 2 === other >> 2 && ((one & 2) === 0 || one !== other)

/** The cells that hold a card, in board order. */
export function cardCells(cells: readonly number[]): number[] {
  const results: number[] = []
  for (let cell = 0; cell < cells.length; cell++) if (cells[cell] !== NO_CARD) results.push(cell)
  return results
}
