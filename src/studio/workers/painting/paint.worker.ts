import pLimit from 'p-limit'
import type { Face } from '../../../core/deck/pair.ts'
import { clearPen } from './clear-pen.ts'
import { type WithImage, loadFace } from './load.ts'
import { addFonts, type FontRule } from './own-fonts.ts'
import { drawFace } from '../../../ship/drawing/draw-face.ts'
import { drawPair, PAIR } from './paint-pair.ts'

/**
 * What to draw, `scale` px to one of the page: the faces of a pair, or one face on a square with this many page px a
 * side.
 */
export type Motif = { scale: number; faces: WithImage<Face>[]; square?: number }
/** Fonts come first, then orders, each with a number that its answer repeats. */
export type PaintInput = { fonts: FontRule[] } | { number: number; motif: Motif }
/**
 * A picture's URL, which is valid as long as the worker lives; empty if it cannot be drawn. It is made here because
 * making it means waiting for the browser.
 */
export type PaintOutput = { number: number; url: string }

/** How many images are loaded at a time. */
const limit = pLimit(12)
const pen = new OffscreenCanvas(1, 1).getContext('2d')!

self.onmessage = ({ data }: MessageEvent<PaintInput>): void => {
  if ('fonts' in data) return addFonts(data.fonts)
  const { number, motif } = data
  void limit(() => paint(motif))
    .then(URL.createObjectURL, () => '')
    .then((url) => self.postMessage({ number, url } satisfies PaintOutput))
}

async function paint({ scale, faces, square }: Motif): Promise<Blob> {
  const [first, twin] = await Promise.all(faces.map(loadFace))
  // from here on without a pause: there is one pen for all
  if (square) {
    const side = square * scale
    drawFace(clearPen(pen, side, side), first!, side, side)
  } else drawPair(clearPen(pen, PAIR.width * scale, PAIR.height * scale), first!, twin, scale)
  first!.image?.close()
  twin?.image?.close()
  return pen.canvas.convertToBlob()
}
