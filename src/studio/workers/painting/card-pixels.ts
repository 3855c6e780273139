import { GRID } from '../../../core/deck/likeness.ts'
import { clearPen } from './clear-pen.ts'

/** One canvas to read the drawing, and one for the comparison. */
const [card, compared] = [newPen(), newPen()]

function newPen(): OffscreenCanvasRenderingContext2D {
  return new OffscreenCanvas(1, 1).getContext('2d', { willReadFrequently: true })!
}

/** A px that differs this much from the paper, in any channel, belongs to the drawing. */
const DRAWN = 24

/**
 * A card, drawn at its size, in the px by which faces are compared: RGBA on a grid of GRID × GRID. The drawing fills
 * them: a small sign on much paper is looked at as closely as a large one.
 */
export function cardPixels(bitmap: ImageBitmap): Uint8ClampedArray {
  const { width, height } = bitmap
  clearPen(card, width, height).drawImage(bitmap, 0, 0)
  const { data } = card.getImageData(0, 0, width, height)
  const box = drawnBox(data, width, height)
  const side = Math.max(box.width, box.height) + 2
  const scale = GRID / side
  const pen = clearPen(compared, GRID, GRID)
  pen.fillStyle = `rgb(${data[0]} ${data[1]} ${data[2]})`
  pen.fillRect(0, 0, GRID, GRID)
  pen.drawImage(
    bitmap,
    (side / 2 - box.x - box.width / 2) * scale,
    (side / 2 - box.y - box.height / 2) * scale,
    width * scale,
    height * scale,
  )
  return pen.getImageData(0, 0, GRID, GRID).data
}

/** The smallest box around the drawing on a card, or the whole card if it is bare. `data` is its px, as RGBA. */
function drawnBox(
  data: Uint8ClampedArray,
  width: number,
  height: number,
): { x: number; y: number; width: number; height: number } {
  let [left, top, right, bottom] = [width, height, -1, -1]
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const at = (y * width + x) * 4
      let isDrawn = false
      for (let c = 0; c < 3; c++) if (Math.abs(data[at + c]! - data[c]!) > DRAWN) isDrawn = true
      if (!isDrawn) continue
      left = Math.min(left, x)
      right = Math.max(right, x)
      top = Math.min(top, y)
      bottom = Math.max(bottom, y)
    }
  if (right < 0) return { x: 0, y: 0, width, height }
  return { x: left, y: top, width: right - left + 1, height: bottom - top + 1 }
}
