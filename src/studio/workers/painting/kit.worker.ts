import { drawCard, type CardSize } from '../../../ship/drawing/draw-card.ts'
import type { LoadedBack } from '../../../ship/drawing/draw-back.ts'
import type { LoadedFace } from '../../../ship/drawing/draw-face.ts'
import type { Back } from '../../../core/settings/back.ts'
import type { Face } from '../../../core/deck/pair.ts'
import { clearPen } from './clear-pen.ts'
import { type WithImage, loadBack, loadFace } from './load.ts'
import { addFonts, type FontRule } from './own-fonts.ts'

/** One card to draw, in some sizes; `keep`: the size in which it is also given as px, to be put on an image of all. */
export type KitOrder = {
  number: number
  size: CardSize
  scales: readonly number[]
  keep?: number
} & ({ face: WithImage<Face> } | { back: WithImage<Back>; emblem: ImageBitmap | null })
export type KitInput = { fonts: FontRule[] } | KitOrder
/** A card as PNG in each size, and as px. `drawn` is false if words stand in the place of its image. */
export type KitOutput = { number: number; files: ArrayBuffer[]; pixels?: ImageBitmap; drawn: boolean }

const pen = new OffscreenCanvas(1, 1).getContext('2d')!

self.onmessage = ({ data }: MessageEvent<KitInput>): void => {
  if ('fonts' in data) return addFonts(data.fonts)
  void draw(data)
}

async function draw(order: KitOrder): Promise<void> {
  const { number, size, scales, keep } = order
  const card: LoadedFace | LoadedBack =
    'face' in order ? await loadFace(order.face) : { ...(await loadBack(order.back)), emblem: order.emblem }
  const files: ArrayBuffer[] = []
  let pixels: ImageBitmap | undefined
  for (const scale of scales) {
    drawCard(clearPen(pen, size.width * scale, size.height * scale), card, size, scale)
    files.push(await (await pen.canvas.convertToBlob()).arrayBuffer())
    if (scale === keep) pixels = pen.canvas.transferToImageBitmap()
  }
  const face = 'back' in card || card.face.kind === 'text' || card.image !== null
  card.image?.close()
  self.postMessage({ number, files, pixels, drawn: face } satisfies KitOutput, {
    transfer: [...files, ...(pixels ? [pixels] : [])],
  })
}
