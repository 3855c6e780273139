import pLimit from 'p-limit'
import type { Face } from '../../core/game/game.ts'
import { cleared } from './cleared.ts'
import type { WithImage } from './load-image.ts'
import { addFonts, type FontRule } from './own-fonts.ts'
import { drawFace, loadFace } from './paint-face.ts'
import { drawPair, PAIR } from './paint-pair.ts'

/** What is to be drawn, `scale` px to one of the page: a face on a square, its side in px of the page, or the faces of a pair. */
export type Motif = { scale: number } & (
  { side: number; face: WithImage<Face> } | { pair: [WithImage<Face>, WithImage<Face>?] }
)
/** Fonts come first, then orders, each with a number that its answer has too. */
export type PaintInput = { fonts: FontRule[] } | { number: number; motif: Motif }
/**
 * A picture's URL, which holds as long as the worker does; empty if it cannot be drawn. It is made here because the one who makes it waits
 * for the browser.
 */
export type PaintOutput = { number: number; url: string }

/** How many images are fetched at a time. */
const limit = pLimit(12)
const pen = new OffscreenCanvas(1, 1).getContext('2d')!

self.onmessage = ({ data }: MessageEvent<PaintInput>): void => {
  if ('fonts' in data) return addFonts(data.fonts)
  const { number, motif } = data
  void limit(() => paint(motif))
    .then(URL.createObjectURL, () => '')
    .then((url) => self.postMessage({ number, url } satisfies PaintOutput))
}

async function paint(motif: Motif): Promise<Blob> {
  const { scale } = motif
  const faces = 'pair' in motif ? motif.pair.filter((face) => face !== undefined) : [motif.face]
  const [first, twin] = await Promise.all(faces.map(loadFace))
  // from here on at one go: there is one pen for all
  if ('pair' in motif) drawPair(cleared(pen, PAIR.width * scale, PAIR.height * scale), first!, twin, scale)
  else {
    const side = motif.side * scale
    drawFace(cleared(pen, side, side), first!, side, side)
  }
  first!.image?.close()
  twin?.image?.close()
  return pen.canvas.convertToBlob()
}
