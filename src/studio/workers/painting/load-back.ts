import type { Back } from '../../../core/deck/pair.ts'
import type { LoadedBack } from '../../../ship/drawing/draw-back.ts'
import { loadImage, type WithImage } from './load-image.ts'

export const loadBack = async ({ what: back, image }: WithImage<Back>): Promise<LoadedBack> => ({
  back,
  image: image === undefined && back.image ? await loadImage(back.image) : (image ?? null),
})
