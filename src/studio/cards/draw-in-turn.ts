import type { EncodeInput, EncodeOutput } from '../workers/encode.worker.ts'
import { cleared } from './cleared.ts'

const LANES = 12
const lanes = Array.from({ length: LANES }, (): Promise<unknown> => Promise.resolve())
let next = 0

/** One for all drawings, each of which is done at one go. */
const pen = new OffscreenCanvas(1, 1).getContext('2d')!

export type Draw = (pen: OffscreenCanvasRenderingContext2D) => void

/**
 * Draws a picture of so many px when its turn has come: not all at once, so that the page stays free while hundreds are drawn.
 * `prepare` gets what is drawn. Out: the picture's URL, which holds as long as the page does; empty if it cannot be drawn.
 */
export function drawInTurn(width: number, height: number, prepare: () => Promise<Draw>): Promise<string> {
  const lane = next++ % LANES
  const picture = lanes[lane]!.then(() => document.fonts.ready)
    .then(prepare)
    .then((draw) => {
      draw(cleared(pen, width, height))
      return fileOf(pen.canvas.transferToImageBitmap())
    })
    .then((file) => (file ? URL.createObjectURL(file) : ''))
    .catch(() => '')
  lanes[lane] = picture
  return picture
}

/** Made in a worker: the bytes of hundreds of files would fill the page's memory, and clearing that stops it for a moment. */
let encoder: Worker | undefined
let number = 0
const waiting = new Map<number, (file: Blob | null) => void>()

function fileOf(picture: ImageBitmap): Promise<Blob | null> {
  encoder ??= startEncoder()
  return new Promise((resolve) => {
    waiting.set(++number, resolve)
    encoder!.postMessage({ number, picture } satisfies EncodeInput, [picture])
  })
}

function startEncoder(): Worker {
  const worker = new Worker(new URL('../workers/encode.worker.ts', import.meta.url), { type: 'module' })
  const give = (which: number, file: Blob | null): void => {
    waiting.get(which)?.(file)
    waiting.delete(which)
  }
  worker.onmessage = ({ data }: MessageEvent<EncodeOutput>) => give(data.number, data.file)
  worker.onerror = () => {
    encoder = undefined
    for (const which of [...waiting.keys()]) give(which, null)
  }
  return worker
}
