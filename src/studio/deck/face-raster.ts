import { GRID } from '../../core/deck/likeness.ts'
import type { Back, Face } from '../../core/game/game.ts'
import { patternImage } from '../../player/back.ts'
import { decoded, paintFace } from '../cards/paint-face.ts'

/** Faces as pixels, drawn as they appear on a card, so that they can be compared. */

/** The pens of the card and of what is compared: two for all faces, each drawn at one go, since canvases are much to clear away. */
const [card, compared] = [newPen(), newPen()]

function newPen(): OffscreenCanvasRenderingContext2D {
  return new OffscreenCanvas(1, 1).getContext('2d', { willReadFrequently: true })!
}

/** A pen on a bare canvas of so many px. */
function bare(pen: OffscreenCanvasRenderingContext2D, width: number, height: number): typeof pen {
  Object.assign(pen.canvas, { width, height })
  pen.imageSmoothingQuality = 'high'
  return pen
}

/** A px that differs so much from the paper, in any channel, belongs to what is drawn on it. */
const DRAWN = 24

/**
 * The card, drawn at its size, in the px by which faces are compared. What is on it fills them: a small sign on much paper is looked at
 * as closely as a large one.
 */
function pixels(): Uint8ClampedArray {
  const { canvas } = card
  const { data } = card.getImageData(0, 0, canvas.width, canvas.height)
  const box = drawnBox(data, canvas.width, canvas.height)
  const side = Math.max(box.width, box.height) + 2
  const scale = GRID / side
  const pen = bare(compared, GRID, GRID)
  pen.fillStyle = `rgb(${data[0]} ${data[1]} ${data[2]})`
  pen.fillRect(0, 0, GRID, GRID)
  pen.drawImage(
    canvas,
    (side / 2 - box.x - box.width / 2) * scale,
    (side / 2 - box.y - box.height / 2) * scale,
    canvas.width * scale,
    canvas.height * scale,
  )
  return pen.getImageData(0, 0, GRID, GRID).data
}

/** The smallest box that holds all that is drawn on a card, or the whole card if that is bare. `data` is its px, as RGBA. */
function drawnBox(
  data: Uint8ClampedArray,
  width: number,
  height: number,
): { x: number; y: number; width: number; height: number } {
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

/** How a face looks on a card of so many px: RGBA on a grid of GRID × GRID. */
export async function facePixels(face: Face, width: number, height: number): Promise<Uint8ClampedArray> {
  const paint = await paintFace(face, width, height)
  paint(bare(card, width, height))
  return pixels()
}

/** The back, drawn like a face, to see whether it could be taken for one. */
export async function backPixels(back: Back, width: number, height: number): Promise<Uint8ClampedArray> {
  const image = await decoded(back.image ?? patternImage(back).slice(5, -2))
  const pen = bare(card, width, height)
  pen.fillStyle = back.ink
  pen.fillRect(0, 0, width, height)
  if (back.image) {
    if (!image) return pixels()
    const scale = Math.max(width / image.naturalWidth, height / image.naturalHeight)
    const [w, h] = [image.naturalWidth * scale, image.naturalHeight * scale]
    pen.drawImage(image, (width - w) / 2, (height - h) / 2, w, h)
    return pixels()
  }
  const pattern = image && pen.createPattern(image, 'repeat')
  if (pattern) {
    pen.fillStyle = pattern
    pen.fillRect(0, 0, width, height)
  }
  pen.lineWidth = Math.max(2, width * 0.045) * 2
  pen.strokeStyle = back.paper
  pen.strokeRect(0, 0, width, height)
  return pixels()
}
