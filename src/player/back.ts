import type { Pattern } from '../core/deck/back.ts'
import type { Back } from '../core/deck/pair.ts'
import type { Art } from './face.ts'

/** One tile of each pattern: its side, and its strokes in the back's paper on its ink. */
const TILES: Record<Pattern, { side: number; draw: string }> = {
  herringbone: { side: 16, draw: '<path d="m0 4 4 4-4 4M8-4 16 4 8 12 0 4M8 4l8 8-8 8-8-8" opacity=".5"/>' },
  lattice: {
    side: 16,
    draw: '<path d="M0 0 16 16M16 0 0 16" opacity=".42"/><circle cx="8" cy="8" r="2" fill="PAPER" stroke="none" opacity=".75"/>',
  },
  ripples: {
    side: 24,
    draw: '<g opacity=".5"><circle cx="12" cy="12" r="3"/><circle cx="12" cy="12" r="7.500"/><circle cx="0" cy="0" r="3"/><circle cx="24" cy="0" r="3"/><circle cx="0" cy="24" r="3"/><circle cx="24" cy="24" r="3"/></g>',
  },
  pennants: {
    side: 18,
    draw: '<path d="M1 1h8L5 8zM10 10h8l-4 7z" fill="PAPER" stroke="none" opacity=".5"/>',
  },
  rivets: {
    side: 14,
    draw: '<circle cx="3.500" cy="3.500" r="1.600" fill="PAPER" stroke="none" opacity=".8"/><circle cx="10.500" cy="10.500" r="2.600" opacity=".5"/>',
  },
  plain: { side: 10, draw: '' },
}

/** How much of a card's width the emblem takes, and the disc of paper under it. */
const EMBLEM = { size: '46%', disc: '66%' }

/** The CSS background of a back: an own image over the whole of it, or its pattern, with the emblem on a disc of paper. */
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
    `url("${src}") center / ${EMBLEM.size} no-repeat`,
    `radial-gradient(circle closest-side, ${paper} ${EMBLEM.disc}, ${ink} ${EMBLEM.disc} 70%, #0000 70.5%)`,
    pattern,
  ].join(', ')
}

/** The colour of a tint as CSS, as strong as it is. */
export const tintColour = ({ colour, strength }: NonNullable<Back['tint']>): string =>
  `${colour}${Math.round((strength / 100) * 255)
    .toString(16)
    .padStart(2, '0')}`

/** The pattern as an image that repeats. */
export function patternImage({ pattern, ink, paper }: Back): string {
  const { side, draw } = TILES[pattern]
  const svg =
    `<svg xmlns="http://www.w3.org/2000/svg" width="${side}" height="${side}" fill="none" stroke="${paper}" stroke-width="1.5">` +
    `<rect width="${side}" height="${side}" fill="${ink}" stroke="none"/>${draw.replaceAll('PAPER', paper)}</svg>`
  return `url("data:image/svg+xml,${encodeURIComponent(svg)}")`
}
