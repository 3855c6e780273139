import { toUint8Array } from 'js-base64'
import type { Back } from '../../../core/settings/back.ts'
import type { Face } from '../../../core/deck/pair.ts'
import type { LoadedBack } from '../../../ship/drawing/draw-back.ts'
import { FACE_TYPE, type LoadedFace } from '../../../ship/drawing/draw-face.ts'
import { smallPictureUrl } from '../../store/pictures.ts'
import { loadFont } from './own-fonts.ts'

/** Something to draw, with its image if only the page can read that: null if the page could not. */
export type WithImage<What> = { what: What; image?: ImageBitmap | null }

export const imagesOf = (all: readonly WithImage<unknown>[]): ImageBitmap[] =>
  all.flatMap(({ image }) => image ?? [])

/** An image that takes longer than this, in ms, is not waited for. */
const LONGEST = 3000

/** An image that can be drawn, from its address on the server or its data, or null if the browser cannot read it. */
export async function loadImage(src: string): Promise<ImageBitmap | null> {
  let timer = 0
  // a number in browsers; Node's types have an object
  const late = new Promise<null>(
    (resolve) => (timer = setTimeout(resolve, LONGEST, null) as unknown as number),
  )
  try {
    return await Promise.race([fileOf(src).then((file) => createImageBitmap(file)), late])
  } catch {
    return null
  } finally {
    clearTimeout(timer)
  }
}

async function fileOf(src: string): Promise<Blob> {
  // the policy forbids pages and workers to load data addresses
  const [, type, data] = /^data:([^;,]*);base64,(.*)$/s.exec(src) ?? []
  if (data !== undefined) return new Blob([toUint8Array(data) as BlobPart], { type })
  return (await fetch(src)).blob()
}

/** A face, ready to be drawn on a small card. */
export async function loadFace({ what: face, image }: WithImage<Face>): Promise<LoadedFace> {
  if (face.kind === 'text') {
    await loadFont(FACE_TYPE.replace('%', '20'), face.text)
    return { face, image: null }
  }
  if (image !== undefined) return { face, image }
  return { face, image: await loadImage(face.kind === 'picture' ? smallPictureUrl(face.name) : face.src) }
}

/** A back, ready to be drawn. */
export const loadBack = async ({ what: back, image }: WithImage<Back>): Promise<LoadedBack> => ({
  back,
  image: image === undefined && back.image ? await loadImage(back.image) : (image ?? null),
})
