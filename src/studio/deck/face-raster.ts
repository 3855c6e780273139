import { GRID } from '../../core/deck/likeness.ts'
import type { Back, Face } from '../../core/game/game.ts'
import { patternImage } from '../../player/back.ts'
import { decoded, paintFace } from '../cards/paint-face.ts'

/** Faces as pixels, drawn as they appear on a card, so that they can be compared. */

const canvas = (width: number, height: number): [OffscreenCanvas, OffscreenCanvasRenderingContext2D] => {
  const made = new OffscreenCanvas(width, height)
  const pen = made.getContext('2d', { willReadFrequently: true })!
  pen.imageSmoothingQuality = 'high'
  return [made, pen]
}

/** A px that differs so much from the paper, in any channel, belongs to what is drawn on it. */
const DRAWN = 24

/**
 * The card drawn at its size in px, then what is on it brought to the px by which faces are compared: a small sign on much paper is
 * looked at as closely as a large one.
 */
function compared(card: OffscreenCanvas): Uint8ClampedArray {
  const box = drawnBox(card)
  const side = Math.max(box.width, box.height) + 2
  const [, pen] = canvas(GRID, GRID)
  const paper = card.getContext('2d')!.getImageData(0, 0, 1, 1).data
  pen.fillStyle = `rgb(${paper[0]} ${paper[1]} ${paper[2]})`
  pen.fillRect(0, 0, GRID, GRID)
  const scale = GRID / side
  pen.drawImage(
    card,
    (side / 2 - box.x - box.width / 2) * scale,
    (side / 2 - box.y - box.height / 2) * scale,
    card.width * scale,
    card.height * scale,
  )
  return pen.getImageData(0, 0, GRID, GRID).data
}

/** The smallest box that holds all that is drawn on a card, or the whole card if that is bare. */
function drawnBox(card: OffscreenCanvas): { x: number; y: number; width: number; height: number } {
  const { width, height } = card
  const { data } = card.getContext('2d')!.getImageData(0, 0, width, height)
  let [left, top, right, bottom] = [width, height, -1, -1]
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const at = (y * width + x) * 4
      let drawn = false
      for (let c = 0; c < 3; c++) if (Math.abs(data[at + c]! - data[c]!) > DRAWN) drawn = true
      if (!drawn) continue
      left = Math.min(left, x)
      right = Math.max(right, x)
      top = Math.min(top, y)
      bottom = Math.max(bottom, y)
    }
  if (right < 0) return { x: 0, y: 0, width, height }
  return { x: left, y: top, width: right - left + 1, height: bottom - top + 1 }
}

export async function facePixels(face: Face, width: number, height: number): Promise<Uint8ClampedArray> {
  const paint = await paintFace(face, width, height)
  const [card, pen] = canvas(width, height)
  paint(pen)
  return compared(card)
}

/** The back, drawn like a face, to see whether it could be taken for one. */
export async function backPixels(back: Back, width: number, height: number): Promise<Uint8ClampedArray> {
  const [card, pen] = canvas(width, height)
  pen.fillStyle = back.ink
  pen.fillRect(0, 0, width, height)
  if (back.image) {
    const image = await decoded(back.image)
    if (image) {
      const scale = Math.max(width / image.naturalWidth, height / image.naturalHeight)
      const [w, h] = [image.naturalWidth * scale, image.naturalHeight * scale]
      pen.drawImage(image, (width - w) / 2, (height - h) / 2, w, h)
    }
    return compared(card)
  }
  const tile = await decoded(patternImage(back).slice(5, -2))
  const pattern = tile && pen.createPattern(tile, 'repeat')
  if (pattern) {
    pen.fillStyle = pattern
    pen.fillRect(0, 0, width, height)
  }
  pen.lineWidth = Math.max(2, width * 0.045) * 2
  pen.strokeStyle = back.paper
  pen.strokeRect(0, 0, width, height)
  return compared(card)
}
