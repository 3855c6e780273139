import type { Face } from '../../../core/deck/pair.ts'
import { paintedFace } from './painted.ts'

/** px of the page along a side of a small face. */
export const SMALL = 26

/** Faces never change, so one drawing serves for as long as a face is known. */
const cache = new WeakMap<Face, { picture: Promise<string>; scale: number }>()

/**
 * A face as a small square picture, as a URL, drawn once: lists that change many times a second show it. Empty if it
 * cannot be drawn.
 */
export function facePicture(face: Face): Promise<string> {
  const scale = devicePixelRatio
  const cached = cache.get(face)
  if (cached?.scale === scale) return cached.picture
  const picture = paintedFace(face, SMALL)
  cache.set(face, { picture, scale })
  return picture
}

/** The same picture, ready for a canvas; null if it cannot be drawn. */
export async function faceBitmap(face: Face): Promise<ImageBitmap | null> {
  const image = new Image()
  image.src = await facePicture(face)
  try {
    await image.decode()
    return await createImageBitmap(image)
  } catch {
    return null
  }
}
