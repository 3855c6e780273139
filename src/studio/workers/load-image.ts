import { toUint8Array } from 'js-base64'

/** Something to draw, with its image where only the page can read that: null if the page could not. */
export type WithImage<What> = { what: What; image?: ImageBitmap | null }

export const imagesOf = (all: readonly WithImage<unknown>[]): ImageBitmap[] =>
  all.flatMap(({ image }) => image ?? [])

/** An image that can be drawn, from its address on the server or its data, or null if there is none that the browser can read. */
export async function loadImage(src: string): Promise<ImageBitmap | null> {
  try {
    return await createImageBitmap(await fileOf(src))
  } catch {
    return null
  }
}

async function fileOf(src: string): Promise<Blob> {
  // data is no address that the policy lets a page or a worker ask for
  const [, type, data] = /^data:([^;,]*);base64,(.*)$/s.exec(src) ?? []
  if (data !== undefined) return new Blob([toUint8Array(data) as BlobPart], { type })
  return (await fetch(src)).blob()
}
