import type { Directive } from 'vue'
import type { Face, Pair } from '../../../../core/deck/pair.ts'
import { paintedPair } from '../../../workers/painting/painted.ts'

/** Faces never change, so one drawing serves for as long as a face is known. */
const cache = new WeakMap<Face, { picture: Promise<string>; b: Face | undefined; scale: number }>()

/**
 * A pair as the light table shows it, drawn once and cached, so that a deck of hundreds scrolls without drawing
 * anything anew. Out: its URL.
 */
function pairPicture(pair: Pair): Promise<string> {
  const { a, b } = pair
  const scale = devicePixelRatio
  const cached = cache.get(a)
  if (cached?.b === b && cached?.scale === scale) return cached.picture
  const picture = paintedPair(pair)
  cache.set(a, { picture, b, scale })
  return picture
}

/** Which picture an element waits for or shows. */
const pictures = new WeakMap<HTMLElement, Promise<string>>()

async function show(element: HTMLElement, { value }: { value: Pair }): Promise<void> {
  const picture = pairPicture(value)
  if (pictures.get(element) === picture) return
  pictures.set(element, picture)
  const url = await picture
  if (pictures.get(element) === picture) element.style.backgroundImage = url && `url(${url})`
}

/** Sets a pair's picture as the background of an element, as soon as it is drawn. */
export const vPairPicture: Directive<HTMLElement, Pair> = { mounted: show, updated: show }
