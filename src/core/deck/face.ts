import { pairOf, sideOf, type Card } from './card.ts'
import type { Face, Pair } from './pair.ts'

/** The colours (#rrggbb) of a face that sets none of its own. The player's style has the same. */
export const FACE_PAPER = '#fffdf8'
export const FACE_INK = '#23243f'

/** How much of a card's width and height a picture may take. */
export const ART_SHARE = { picture: 0.66, image: 0.88 } as const

/** The face shown on a card. In: the card, and the pairs of its deck. */
export function faceOnCard(card: Card, pairs: readonly Pair[]): Face {
  const pair = pairs[pairOf(card)]!
  return (sideOf(card) === 'b' && pair.b) || pair.a
}

/** What a face shows, in words. */
export function faceWords(face: Face, name: string): string {
  if (face.alt) return face.alt
  return face.kind === 'text' ? face.text : name
}
