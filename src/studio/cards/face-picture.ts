import type { Face } from '../../core/game/game.ts'
import { drawInTurn } from './draw-in-turn.ts'
import { paintFace } from './paint-face.ts'

/** px of the page along a side of a small face. */
export const SMALL = 26

/** Faces never change, so that one drawing holds for as long as a face is known. */
const drawn = new WeakMap<Face, { picture: Promise<string>; scale: number }>()

/** A face as a small square picture, as a URL, drawn once: lists that change many times a second show it. Empty if it cannot be drawn. */
export function facePicture(face: Face): Promise<string> {
  const scale = devicePixelRatio
  const known = drawn.get(face)
  if (known?.scale === scale) return known.picture
  const side = SMALL * scale
  const picture = drawInTurn(side, side, () => paintFace(face, side, side))
  drawn.set(face, { picture, scale })
  return picture
}
