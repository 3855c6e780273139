import type { Game } from '../../../core/game/game.ts'
import {
  kitBacks,
  imageFile,
  KIT_SCALES,
  kitCardSize,
  type Atlas,
  type KitCard,
} from '../../../ship/kit/cards.ts'
import { workerError } from '../../store/faults.ts'
import { Cancelled, workerCount, type Job } from '../jobs/job.ts'
import { backForWorker, emblemOf, faceForWorker, pageFonts } from './for-workers.ts'
import { imagesOf } from './load.ts'
import type { KitInput, KitOrder, KitOutput } from './kit.worker.ts'

export type KitImages = { images: Record<string, Uint8Array>; undrawn: string[] }

/** px of an SVG for each px of the card along its longer side. */
const DETAIL = KIT_SCALES.at(-1)!

/**
 * Draws the images of a kit: workers share the cards, and the page gives each its next one. In: the game, its cards and
 * their places on the atlas (null for none), a card's width in px, and the sizes; `progress` gets the share done, 0 to
 * 1. Out: PNG files by name, and the cards on which words stand in the place of an image.
 */
export function drawKitImages(
  game: Game,
  { cards, atlas }: { cards: readonly KitCard[]; atlas: Atlas | null },
  width: number,
  progress: (share: number) => void = () => undefined,
  scales: readonly (typeof KIT_SCALES)[number][] = KIT_SCALES,
): Job<KitImages> {
  const size = kitCardSize(game, width)
  const longest = Math.max(size.width, size.height) * DETAIL
  const images: Record<string, Uint8Array> = {}
  const failures: string[] = []
  const sheet = atlas && new OffscreenCanvas(atlas.width, atlas.height).getContext('2d')!
  const backs = kitBacks(game)
  const count = cards.length + backs.length
  let next = 0
  let drawnCount = 0
  let stop: (error: Error) => void = () => undefined
  const stopped = new Promise<never>((_, reject) => (stop = reject))
  stopped.catch(() => undefined)
  const workers = Array.from({ length: workerCount() }, () => startWorker(stop))

  async function orderFor(number: number): Promise<[KitOrder, Transferable[]]> {
    const head = { number, size, scales, keep: atlas?.scale }
    const card = cards[number]
    if (card) {
      const face = await faceForWorker(card.face, card.name, longest)
      return [{ ...head, face }, imagesOf([face])]
    }
    const own = backs[number - cards.length]!.back
    const back = await backForWorker(own, DETAIL)
    const emblem = await emblemOf(own, longest)
    return [{ ...head, back, emblem }, [...imagesOf([back]), ...(emblem ? [emblem] : [])]]
  }
  function take({ number, files, pixels, drawn }: KitOutput): void {
    const card = cards[number]
    files.forEach(
      (file, i) =>
        (images[imageFile((card ?? backs[number - cards.length]!).file, scales[i]!)] = new Uint8Array(file)),
    )
    if (pixels) {
      const { x, y } = atlas!.frames[number]!
      sheet!.drawImage(pixels, x, y)
      pixels.close()
    }
    const isReplaced = card && card.face.kind === 'image' && !drawn
    if (isReplaced) failures.push(card.card)
    progress(++drawnCount / count)
  }
  async function work(worker: Worker): Promise<void> {
    const nextOrder = (): ReturnType<typeof orderFor> | null => {
      if (next === count) return null
      const order = orderFor(next++)
      // what is wrong with it is told when its turn comes
      order.catch(() => undefined)
      return order
    }
    for (let coming = nextOrder(); coming;) {
      const [order, given] = await Promise.race([coming, stopped])
      // a picture that cannot be drawn is replaced by words before it comes here
      if ('face' in order && cards[order.number]!.face.kind === 'image' && order.face.what.kind === 'text')
        failures.push(cards[order.number]!.card)
      const answer = new Promise<KitOutput>((resolve) => {
        worker.onmessage = ({ data }: MessageEvent<KitOutput>) => resolve(data)
      })
      worker.postMessage(order satisfies KitInput, given)
      // its next card is made ready while it draws this one
      coming = nextOrder()
      take(await Promise.race([answer, stopped]))
    }
  }
  async function all(): Promise<KitImages> {
    try {
      await Promise.race([Promise.all(workers.map(work)), stopped])
      if (sheet) {
        const blob = await Promise.race([sheet.canvas.convertToBlob(), stopped])
        images['atlas.png'] = new Uint8Array(await blob.arrayBuffer())
      }
      return { images, undrawn: [...new Set(failures)] }
    } finally {
      for (const worker of workers) worker.terminate()
    }
  }
  return { done: all(), cancel: () => stop(new Cancelled()) }
}

function startWorker(stop: (error: Error) => void): Worker {
  const worker = new Worker(new URL('./kit.worker.ts', import.meta.url), { type: 'module' })
  worker.onerror = (event) => stop(workerError(event))
  worker.postMessage({ fonts: pageFonts() } satisfies KitInput)
  return worker
}
