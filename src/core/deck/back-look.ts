import type { Pattern } from '../settings/back.ts'
import type { Back } from '../settings/back.ts'

/** What a back looks like, in numbers and drawings that the table, the studio and shipped files share. */

/** One tile of each pattern: its side in px, and its strokes in the back's paper on its ink. */
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

/** The side of one tile of a pattern, in px. */
export const tileSide = (pattern: Pattern): number => TILES[pattern].side

/**
 * How much of a card's width the emblem takes; of half its shorter side, the disc of paper under it and the ring of ink
 * around that.
 */
export const EMBLEM = { size: 0.46, disc: 0.66, ring: 0.7 } as const

/** How wide the edge of paper around a back is: a share of the card's width, and at least so many px. */
export const BACK_EDGE = { share: 0.045, least: 2 } as const

/** The corners of a card: a share of its width, and at most so many px. */
export const CORNER = { share: 0.12, most: 10 } as const

/** The colour of a tint as CSS, as strong as it is. */
export const tintColour = ({ colour, strength }: NonNullable<Back['tint']>): string =>
  `${colour}${Math.round((strength / 100) * 255)
    .toString(16)
    .padStart(2, '0')}`

/** One tile of a back's pattern as an SVG, this many px for each of its own. */
export function patternSvg(
  { pattern, ink, paper }: Pick<Back, 'pattern' | 'ink' | 'paper'>,
  scale = 1,
): string {
  const { side, draw } = TILES[pattern]
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${side * scale}" height="${side * scale}" viewBox="0 0 ${side} ${side}" fill="none" stroke="${paper}" stroke-width="1.5">` +
    `<rect width="${side}" height="${side}" fill="${ink}" stroke="none"/>${draw.replaceAll('PAPER', paper)}</svg>`
  )
}

const percent = (share: number): string => `${(share * 100).toFixed(1)}%`

/**
 * The CSS background of a back: an own image over the whole of it, or its pattern, with the emblem on a disc of paper.
 * In: the back, and where a library picture is, by its name.
 */
export function backBackground(back: Back, art: (name: string) => string): string {
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
