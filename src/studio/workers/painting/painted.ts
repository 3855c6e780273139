import type { Face, Pair } from '../../../core/deck/pair.ts'
import { workerError } from '../../store/faults.ts'
import { imagesOf } from './load.ts'
import type { Motif, PaintInput, PaintOutput } from './paint.worker.ts'
import { faceForWorker, pageFonts } from './for-workers.ts'

/**
 * Small pictures of cards, drawn in a worker: what hundreds of drawings leave behind would fill the page's memory, and
 * cleaning that up stops it for a moment.
 */
let painter: Worker | undefined
let number = 0
const waiting = new Map<number, (url: string) => void>()

/**
 * A face on a square of this many page px. Out: the picture's URL, valid as long as the worker lives, which is never
 * ended; empty if it cannot be drawn.
 */
export const paintedFace = (face: Face, square: number): Promise<string> => paintAll([face], '', square)

/** The two faces of a pair that lean on each other, or one and its twin turned away. Out as above. */
export const paintedPair = ({ a, b, name }: Pair): Promise<string> => paintAll(b ? [a, b] : [a], name)

async function paintAll(all: readonly Face[], name: string, square?: number): Promise<string> {
  const faces = await Promise.all(all.map((face) => faceForWorker(face, name)))
  painter ??= startPainter()
  const motif: Motif = { scale: devicePixelRatio, faces, square }
  return new Promise((resolve) => {
    waiting.set(++number, resolve)
    painter!.postMessage({ number, motif } satisfies PaintInput, imagesOf(faces))
  })
}

function startPainter(): Worker {
  const worker = new Worker(new URL('./paint.worker.ts', import.meta.url), { type: 'module' })
  const give = (which: number, url: string): void => {
    waiting.get(which)?.(url)
    waiting.delete(which)
  }
  worker.onmessage = ({ data }: MessageEvent<PaintOutput>) => give(data.number, data.url)
  worker.onerror = (event) => {
    reportError(workerError(event))
    painter = undefined
    for (const which of [...waiting.keys()]) give(which, '')
  }
  worker.postMessage({ fonts: pageFonts() } satisfies PaintInput)
  return worker
}
