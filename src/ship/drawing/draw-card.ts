import { drawBack, type LoadedBack } from './draw-back.ts'
import { drawFace, type LoadedFace } from './draw-face.ts'

/** A card in px at 1 ×, with the radius of its corners. */
export type CardSize = { width: number; height: number; corner: number }

/**
 * Draws a front or the back with its round corners, `scale` px of the canvas for each of the card. In: a pen on a bare
 * canvas.
 */
export function drawCard(
  pen: OffscreenCanvasRenderingContext2D,
  card: LoadedFace | LoadedBack,
  { width, height, corner }: CardSize,
  scale: number,
): void {
  pen.save()
  pen.scale(scale, scale)
  pen.beginPath()
  pen.roundRect(0, 0, width, height, corner)
  pen.clip()
  if ('back' in card) drawBack(pen, card, width, height)
  else drawFace(pen, card, width, height)
  pen.restore()
}
