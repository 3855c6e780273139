import { EMBLEM, patternSvg, tintColour } from '../core/deck/back-look.ts'
import type { Back } from '../core/deck/pair.ts'
import type { Art } from './face.ts'

const percent = (share: number): string => `${(share * 100).toFixed(1)}%`

/**
 * The CSS background of a back: an own image over the whole of it, or its pattern, with the emblem on a disc of paper.
 */
export function backBackground(back: Back, art: Art): string {
  const { ink, paper, emblem, image, tint } = back
  if (image) {
    const over = tint ? `linear-gradient(${tintColour(tint)} 0 0), ` : ''
    return `${over}url("${image}") center / cover no-repeat ${ink}`
  }
  const pattern = `${patternImage(back)} center`
  if (!emblem) return pattern
  const src = emblem.kind === 'picture' ? art(emblem.name) : emblem.src
  return [
    `url("${src}") center / ${percent(EMBLEM.size)} no-repeat`,
    `radial-gradient(circle closest-side, ${paper} ${percent(EMBLEM.disc)}, ${ink} ${percent(EMBLEM.disc)} ${percent(EMBLEM.ring)}, #0000 ${percent(EMBLEM.ring + 0.005)})`,
    pattern,
  ].join(', ')
}

/** The pattern as an image that repeats. */
const patternImage = (back: Back): string =>
  `url("data:image/svg+xml,${encodeURIComponent(patternSvg(back))}")`
