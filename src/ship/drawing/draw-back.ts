import { BACK_EDGE, EMBLEM, tileSide, tintColour } from '../../core/deck/back-look.ts'
import type { Back } from '../../core/settings/back.ts'

/**
 * A back with everything needed to draw it at once: its own image, or one tile of its pattern, with the emblem on it.
 */
export type LoadedBack = { back: Back; image: ImageBitmap | null; emblem?: ImageBitmap | null }

/** Draws a back as players see it, on a card of this many px, from the pen's origin. */
export function drawBack(
  pen: OffscreenCanvasRenderingContext2D,
  { back, image, emblem }: LoadedBack,
  width: number,
  height: number,
): void {
  pen.fillStyle = back.ink
  pen.fillRect(0, 0, width, height)
  if (back.image) {
    if (!image) return
    const scale = Math.max(width / image.width, height / image.height)
    const [w, h] = [image.width * scale, image.height * scale]
    pen.drawImage(image, (width - w) / 2, (height - h) / 2, w, h)
    if (!back.tint) return
    pen.fillStyle = tintColour(back.tint)
    return pen.fillRect(0, 0, width, height)
  }
  if (image) tiles(pen, image, tileSide(back.pattern), width, height)
  if (back.emblem) {
    const half = Math.min(width, height) / 2
    disc(pen, back.ink, width, height, half * EMBLEM.ring)
    disc(pen, back.paper, width, height, half * EMBLEM.disc)
    if (emblem) {
      const w = width * EMBLEM.size
      const h = (w * emblem.height) / emblem.width
      pen.drawImage(emblem, (width - w) / 2, (height - h) / 2, w, h)
    }
  }
  pen.lineWidth = Math.max(BACK_EDGE.least, width * BACK_EDGE.share) * 2
  pen.strokeStyle = back.paper
  pen.strokeRect(0, 0, width, height)
}

/** Covers a card with tiles, the middle one in its middle. */
function tiles(
  pen: OffscreenCanvasRenderingContext2D,
  tile: ImageBitmap,
  side: number,
  width: number,
  height: number,
): void {
  const [left, top] = [width, height].map((length) => (((length - side) / 2) % side) - side)
  for (let y = top!; y < height; y += side)
    for (let x = left!; x < width; x += side) pen.drawImage(tile, x, y, side, side)
}

function disc(
  pen: OffscreenCanvasRenderingContext2D,
  colour: string,
  width: number,
  height: number,
  radius: number,
): void {
  pen.fillStyle = colour
  pen.beginPath()
  pen.arc(width / 2, height / 2, radius, 0, 2 * Math.PI)
  pen.fill()
}
