import { ART_SHARE, FACE_INK, FACE_PAPER } from '../../core/deck/face.ts'
import { LINE_HEIGHT, textSize } from '../../core/deck/fit-text.ts'
import type { Face } from '../../core/deck/pair.ts'
import { pictureTitle } from '../../core/deck/picture-words.ts'

/** Faces drawn on a canvas as they appear on a card. */

/** The type of words on cards, as CSS; % stands for its size in px. */
export const FACE_TYPE = "650 %px 'Bricolage Grotesque Variable', 'Figtree Variable', system-ui, sans-serif"

type Pen = OffscreenCanvasRenderingContext2D

/**
 * A face with everything needed to draw it at once; null for an image that cannot be drawn, which its words replace.
 */
export type LoadedFace = { face: Face; image: ImageBitmap | null }

/** Draws a face with its paper on a card of this many px, from the pen's origin. */
export function drawFace(pen: Pen, { face, image }: LoadedFace, width: number, height: number): void {
  pen.fillStyle = face.paper ?? FACE_PAPER
  pen.fillRect(0, 0, width, height)
  if (face.kind === 'text') return drawText(pen, face.text, face.ink ?? FACE_INK, width, height)
  if (!image) return drawText(pen, signOf(face), face.ink ?? FACE_INK, width, height)
  const share = ART_SHARE[face.kind]
  const scale = Math.min((width * share) / image.width, (height * share) / image.height)
  const [w, h] = [image.width * scale, image.height * scale]
  pen.drawImage(image, (width - w) / 2, (height - h) / 2, w, h)
}

/** The placeholder for a missing picture. */
const signOf = (face: Exclude<Face, { kind: 'text' }>): string =>
  face.alt || (face.kind === 'picture' ? pictureTitle(face.name) : 'image')

function drawText(pen: Pen, text: string, ink: string, width: number, height: number): void {
  const { byWidth, byHeight, lines } = textSize(text, width / height)
  const size = Math.min(byWidth * width, byHeight * height)
  pen.font = FACE_TYPE.replace('%', size.toFixed(1))
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
