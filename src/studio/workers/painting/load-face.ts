import type { Face } from '../../../core/deck/pair.ts'
import { FACE_TYPE, type LoadedFace } from '../../../ship/drawing/draw-face.ts'
import { smallPictureUrl } from '../../store/pictures.ts'
import { loadImage, type WithImage } from './load-image.ts'
import { loadFont } from './own-fonts.ts'

/** A face, ready to be drawn on a small card. */
export async function loadFace({ what: face, image }: WithImage<Face>): Promise<LoadedFace> {
  if (face.kind === 'text') {
    await loadFont(FACE_TYPE.replace('%', '20'), face.text)
    return { face, image: null }
  }
  if (image !== undefined) return { face, image }
  return { face, image: await loadImage(face.kind === 'picture' ? smallPictureUrl(face.name) : face.src) }
}
