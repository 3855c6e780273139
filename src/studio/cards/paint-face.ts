import { FACE_INK, FACE_PAPER } from '../../core/deck/face.ts'
import type { Face } from '../../core/game/game.ts'
import { ART_SHARE } from '../../player/face.ts'
import { LINE_HEIGHT, textSize } from '../../player/fit-text.ts'
import { smallPictureUrl } from './pictures.ts'

/** Faces drawn on a canvas as they appear on a small card. */

const TYPE = "650 %px 'Bricolage Grotesque Variable', 'Figtree Variable', system-ui, sans-serif"

/**
 * An image that can be drawn, or null if the browser cannot. Not kept: an SVG is a whole document in the page's memory, and the
 * browser has its file.
 */
export function decoded(src: string): Promise<HTMLImageElement | null> {
  // not by decode(): that waits for a frame of the page each time
  return new Promise((resolve) => {
    const image = new Image()
    image.onload = () => resolve(image)
    image.onerror = () => resolve(null)
    image.src = src
  })
}

type Pen = OffscreenCanvasRenderingContext2D

/** What draws a face with its paper on a card of so many px, from the pen's origin; it is there as soon as the face's image is. */
export async function paintFace(face: Face, width: number, height: number): Promise<(pen: Pen) => void> {
  const image =
    face.kind === 'text'
      ? null
      : await decoded(face.kind === 'picture' ? smallPictureUrl(face.name) : face.src)
  return (pen) => {
    pen.fillStyle = face.paper ?? FACE_PAPER
    pen.fillRect(0, 0, width, height)
    if (face.kind === 'text') return drawText(pen, face.text, face.ink ?? FACE_INK, width, height)
    if (!image) return
    const share = ART_SHARE[face.kind]
    // an SVG without a size of its own has none
    const [w, h] = [image.naturalWidth || 100, image.naturalHeight || 100]
    const scale = Math.min((width * share) / w, (height * share) / h)
    pen.drawImage(image, (width - w * scale) / 2, (height - h * scale) / 2, w * scale, h * scale)
  }
}

function drawText(pen: Pen, text: string, ink: string, width: number, height: number): void {
  const { byWidth, byHeight, lines } = textSize(text, width / height)
  const size = Math.min(byWidth * width, byHeight * height)
  pen.font = TYPE.replace('%', size.toFixed(1))
  pen.fillStyle = ink
  pen.textAlign = 'center'
  pen.textBaseline = 'middle'
  const words = text.split(/\s+/).filter(Boolean)
  const most = width * 0.94
  const set: string[] = []
  for (const word of words) {
    const longer = set.length ? `${set.at(-1)!} ${word}` : word
    if (set.length && (pen.measureText(longer).width <= most || set.length >= lines))
      set[set.length - 1] = longer
    else set.push(word)
  }
  set.forEach((line, i) =>
    pen.fillText(line, width / 2, height / 2 + (i - (set.length - 1) / 2) * size * LINE_HEIGHT, most),
  )
}
