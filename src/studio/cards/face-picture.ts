import type { Directive } from 'vue'
import type { Face } from '../../core/game/game.ts'
import { paintedFace } from './painted.ts'

/** px of the page along a side of a small face. */
export const SMALL = 26

/** Faces never change, so that one drawing holds for as long as a face is known. */
const drawn = new WeakMap<Face, { picture: Promise<string>; scale: number }>()

/** A face as a small square picture, as a URL, drawn once: lists that change many times a second show it. Empty if it cannot be drawn. */
export function facePicture(face: Face): Promise<string> {
  const scale = devicePixelRatio
  const known = drawn.get(face)
  if (known?.scale === scale) return known.picture
  const picture = paintedFace(face, SMALL)
  drawn.set(face, { picture, scale })
  return picture
}

/** Which picture an element waits for or shows. */
const shown = new WeakMap<HTMLElement, Promise<string>>()

async function show(element: HTMLElement, { value }: { value: Face | null }): Promise<void> {
  const picture = value && facePicture(value)
  if ((shown.get(element) ?? null) === picture) return
  if (!picture) {
    shown.delete(element)
    element.style.backgroundImage = ''
    return
  }
  shown.set(element, picture)
  const url = await picture
  if (shown.get(element) === picture) element.style.backgroundImage = url && `url(${url})`
}

/** Gives an element a face's small picture behind it, as soon as it is drawn; null takes it away. */
export const vFacePicture: Directive<HTMLElement, Face | null> = { mounted: show, updated: show }
