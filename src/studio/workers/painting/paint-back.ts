import type { Back } from '../../../core/deck/pair.ts'
import { tintColour } from '../../../player/back.ts'
import { loadImage, type WithImage } from './load-image.ts'

/** A back with everything needed to draw it at once: its own image, or one tile of its pattern. */
export type LoadedBack = { back: Back; image: ImageBitmap | null }

export const loadBack = async ({ what: back, image }: WithImage<Back>): Promise<LoadedBack> => ({
  back,
  image: image === undefined && back.image ? await loadImage(back.image) : (image ?? null),
})

/** Draws a back on a card of this many px, to see whether it could be mistaken for a face. */
export function drawBack(
  pen: OffscreenCanvasRenderingContext2D,
  { back, image }: LoadedBack,
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
  const pattern = image && pen.createPattern(image, 'repeat')
  if (pattern) {
    pen.fillStyle = pattern
    pen.fillRect(0, 0, width, height)
  }
  pen.lineWidth = Math.max(2, width * 0.045) * 2
  pen.strokeStyle = back.paper
  pen.strokeRect(0, 0, width, height)
}
