import type { Back, Face } from '../../core/game/game.ts'
import { patternImage } from '../../player/back.ts'
import { cleared } from '../cards/cleared.ts'
import { decoded, paintFace } from '../cards/paint-face.ts'

/** Cards drawn as they appear on the table, so that they can be compared. */

/** One for all cards, each of which is drawn at one go. */
const pen = new OffscreenCanvas(1, 1).getContext('2d')!

/** How a face looks on a card of so many px. */
export async function faceCard(face: Face, width: number, height: number): Promise<ImageBitmap> {
  const paint = await paintFace(face, width, height)
  paint(cleared(pen, width, height))
  return pen.canvas.transferToImageBitmap()
}

/** The back, drawn like a face, to see whether it could be taken for one. */
export async function backCard(back: Back, width: number, height: number): Promise<ImageBitmap> {
  const image = await decoded(back.image ?? patternImage(back).slice(5, -2))
  cleared(pen, width, height)
  pen.fillStyle = back.ink
  pen.fillRect(0, 0, width, height)
  if (!back.image) drawPattern(back, image, width, height)
  else if (image) {
    const scale = Math.max(width / image.naturalWidth, height / image.naturalHeight)
    const [w, h] = [image.naturalWidth * scale, image.naturalHeight * scale]
    pen.drawImage(image, (width - w) / 2, (height - h) / 2, w, h)
  }
  return pen.canvas.transferToImageBitmap()
}

function drawPattern(back: Back, image: HTMLImageElement | null, width: number, height: number): void {
  const pattern = image && pen.createPattern(image, 'repeat')
  if (pattern) {
    pen.fillStyle = pattern
    pen.fillRect(0, 0, width, height)
  }
  pen.lineWidth = Math.max(2, width * 0.045) * 2
  pen.strokeStyle = back.paper
  pen.strokeRect(0, 0, width, height)
}
