/**
 * A physical card, as one whole number: which pair of the deck, which of its faces, and whether the pair is related.
 * A board of numbers is what makes a million deals and games a second's work; read it with the functions below.
 */
export type Card = number
export type Side = 'a' | 'b'

/** Stands in a cell that holds no card. */
export const NO_CARD = -1

/** The card of a pair (its place in the deck, from 0) that bears this side. An identical pair has only side a. */
export const cardOf = (pair: number, side: Side, related: boolean): Card =>
  pair * 4 + (related ? 2 : 0) + (side === 'b' ? 1 : 0)

/** Which pair of the deck a card belongs to. */
export const pairOf = (card: Card): number => card >> 2

/** Whether a card is of a related pair. */
export const isRelated = (card: Card): boolean => (card & 2) !== 0

/** The card that matches this one: the other of a related pair, another like it of an identical one. */
export const twinOf = (card: Card): Card => (isRelated(card) ? card ^ 1 : card)

export const sideOf = (card: Card): Side => (card & 1 ? 'b' : 'a')

/** A card's face as a number of its own: twice the pair's place in the deck, and one more for side b. */
export const faceIndex = (card: Card): number => ((card >> 2) << 1) | (card & 1)

/** The face that a card's twin bears: the other one of a related pair, the same of an identical one. */
export const twinFace = (card: Card): number => faceIndex(twinOf(card))

/**
 * Whether two cards match: different cards (the caller sees to it that their cells differ), of the same pair, and
 * either the pair is identical or they bear different faces of it. Pictures, texts and names are never compared.
 */
export const cardsMatch = (one: Card, other: Card): boolean =>
  one >> 2 === other >> 2 && ((one & 2) === 0 || one !== other)

/** The cells that hold a card, in the order of the board. */
export function cardCells(cells: readonly number[]): number[] {
  const found: number[] = []
  for (let cell = 0; cell < cells.length; cell++) if (cells[cell] !== NO_CARD) found.push(cell)
  return found
}
