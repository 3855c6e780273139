import type { Back } from '../../../core/settings/back.ts'
import { drawBack } from '../../../ship/drawing/draw-back.ts'
import { loadBack } from '../../workers/painting/load.ts'
import { backForWorker } from '../../workers/painting/for-workers.ts'

/** A card's back for a card of this many page px with corners of this radius, ready for a canvas. */
export async function backBitmap(
  back: Back,
  width: number,
  height: number,
  round: number,
): Promise<ImageBitmap> {
  const loaded = await loadBack(await backForWorker(back))
  const scale = devicePixelRatio
  const pen = new OffscreenCanvas(Math.ceil(width * scale), Math.ceil(height * scale)).getContext('2d')!
  pen.scale(scale, scale)
  pen.beginPath()
  pen.roundRect(0, 0, width, height, round)
  pen.clip()
  drawBack(pen, loaded, width, height)
  return pen.canvas.transferToImageBitmap()
}
