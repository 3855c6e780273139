import type { Pattern } from '../core/deck/back.ts'
import type { Back } from '../core/game/game.ts'

/** One tile of each pattern: its side and its strokes, drawn in the back's ink on its paper. */
const TILES: Record<Pattern, { side: number; draw: string }> = {
  herringbone: {
    side: 16,
    draw: '<path d="M0 4 4 0M0 12 12 0M4 16 16 4M12 16l4-4" stroke-width="2"/><path d="m0 8 8 8M8 0l8 8" stroke-width="2" opacity=".45"/>',
  },
  lattice: {
    side: 14,
    draw: '<path d="M0 0 14 14M14 0 0 14" stroke-width="1.6"/><circle cx="7" cy="7" r="2.2" fill="INK" stroke="none"/>',
  },
  ripples: {
    side: 20,
    draw: '<circle cx="10" cy="20" r="4"/><circle cx="10" cy="20" r="9"/><circle cx="0" cy="10" r="4"/><circle cx="0" cy="10" r="9"/><circle cx="20" cy="10" r="4"/><circle cx="20" cy="10" r="9"/>',
  },
  pennants: {
    side: 18,
    draw: '<path d="M0 0h9L4.5 8zM9 9h9l-4.500 8z" fill="INK" stroke="none"/>',
  },
  rivets: {
    side: 14,
    draw: '<circle cx="3.500" cy="3.500" r="2" fill="INK" stroke="none"/><circle cx="10.500" cy="10.500" r="2.800"/>',
  },
  plain: { side: 10, draw: '' },
}

/** The CSS background of a back: its pattern as an image that repeats, on its paper. */
export function backBackground({ pattern, ink, paper }: Back): string {
  const { side, draw } = TILES[pattern]
  if (!draw) return ink
  const svg =
    `<svg xmlns="http://www.w3.org/2000/svg" width="${side}" height="${side}" fill="none" stroke="${ink}" stroke-width="1.5">` +
    `<rect width="${side}" height="${side}" fill="${paper}" stroke="none"/>${draw.replaceAll('INK', ink)}</svg>`
  return `url("data:image/svg+xml,${encodeURIComponent(svg)}")`
}
