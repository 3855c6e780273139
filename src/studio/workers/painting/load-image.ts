import { toUint8Array } from 'js-base64'

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
