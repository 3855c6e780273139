import { fromUint8Array } from 'js-base64'
import { checkImage, takenBytes } from '../../../core/files/image.ts'
import type { Pair } from '../../../core/deck/pair.ts'
import { newId } from '../../../core/settings/new-id.ts'
import { LENGTHS } from '../../../core/settings/bounds.ts'
import { bad, good, problemLine, type Result } from '../../../core/result.ts'
import { trust } from '../../store/sound-images.ts'

/** Images are scaled down to what is useful on a card, in px of their longest side. */
export const LONGEST_SIDE = 512
/** And to this behind the cards of a whole table. */
export const BEHIND_SIDE = 1600
export type MadeImage = { src: string; smaller: boolean }

/** The checked bytes of an image file as something that can be drawn; its size is read before anything is unpacked. */
export async function decodeImage(
  file: File,
): Promise<Result<{ bitmap: ImageBitmap; type: string; bytes: Uint8Array }>> {
  const bytes = takenBytes(new Uint8Array(await file.arrayBuffer()))
  const type = checkImage(bytes)
  if (!type.ok) return type
  try {
    if (type.value === 'svg+xml') {
      const image = new Image()
      image.src = `data:image/svg+xml;base64,${fromUint8Array(bytes)}`
      await image.decode()
      // an SVG has no px of its own: it is drawn as large as is useful
      const [w, h] = [image.naturalWidth || 1, image.naturalHeight || 1]
      const scale = LONGEST_SIDE / Math.max(w, h)
      const bitmap = await createImageBitmap(image, {
        resizeWidth: Math.round(w * scale),
        resizeHeight: Math.round(h * scale),
      })
      return good({ bitmap, type: type.value, bytes })
    }
    const bitmap = await createImageBitmap(new Blob([bytes as BlobPart], { type: `image/${type.value}` }))
    return good({ bitmap, type: type.value, bytes })
  } catch {
    return bad(
      '',
      type.value === 'svg+xml'
        ? 'an SVG that this browser cannot draw'
        : 'an image that is damaged or cut off',
    )
  }
}

/**
 * An image's `src` from its file: checked, decoded, and made smaller if its longest side, in px, is longer than is
 * useful.
 */
export async function imageSource(file: File, longest = LONGEST_SIDE): Promise<Result<MadeImage>> {
  const result = await madeFrom(file, longest)
  if (result.ok) trust(result.value.src)
  return result
}

async function madeFrom(file: File, longest: number): Promise<Result<MadeImage>> {
  const decoded = await decodeImage(file)
  if (!decoded.ok) return decoded
  const { bitmap, type, bytes } = decoded.value
  const { width, height } = bitmap
  const scale = Math.min(1, longest / Math.max(width, height))
  // a GIF is animated, and only its first frame is wanted
  if (type === 'svg+xml' || (scale === 1 && type !== 'gif')) {
    bitmap.close()
    return good({ src: `data:image/${type};base64,${fromUint8Array(bytes)}`, smaller: false })
  }
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(width * scale))
  canvas.height = Math.max(1, Math.round(height * scale))
  const pen = canvas.getContext('2d')!
  pen.imageSmoothingQuality = 'high'
  pen.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
  bitmap.close()
  // a photograph stays a JPEG: as PNG it would be many times as large
  return good({
    src: canvas.toDataURL(type === 'jpeg' ? 'image/jpeg' : 'image/png', 0.9),
    smaller: scale < 1,
  })
}

/** A file's name without its ending, as words. */
export const wordsOf = (name: string): string =>
  name
    .replace(/\.[^.]*$/, '')
    .replace(/[-_]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim()
    .slice(0, LENGTHS.name) || 'Image'

/** The endings of names that tell the first face of a related pair from the second. */
const SIDES: [first: string, second: string][] = [
  ['a', 'b'],
  ['1', '2'],
  ['left', 'right'],
]

/**
 * The common part of two files' names except for their ending, and which of the two this is; null without such an
 * ending.
 */
export function sideOfName(words: string): { stem: string; side: 'a' | 'b'; kind: number } | null {
  for (const [kind, ends] of SIDES.entries())
    for (const [i, end] of ends.entries()) {
      const match = new RegExp(`^(.*?[\\s.]|.*[\\p{L}\\d)](?=${end}$))${end}$`, 'iu').exec(words)
      const stem = match?.[1]!.trim()
      if (stem) return { stem, side: i ? 'b' : 'a', kind }
    }
  return null
}

export type ReadImage = MadeImage & { name: string }

/**
 * Reads image files one after another. `told` gets each as it is read, or its problem; if it returns false, reading
 * stops.
 */
export async function readImages(
  files: readonly File[],
  onImage: (image: ReadImage | null, problem: string) => boolean | void,
): Promise<void> {
  for (const file of files) {
    const source = await imageSource(file)
    const on = source.ok
      ? onImage({ name: wordsOf(file.name), ...source.value }, '')
      : onImage(null, `${file.name}: ${problemLine(source.problem)}`)
    if (on === false) return
  }
}

/**
 * Pairs from images. With `join`, two whose names differ only in a final a/b, 1/2 or left/right become one related
 * pair; the others are identical. Images that are the same, byte for byte, make one pair only. Out: the pairs, and the
 * number of duplicates.
 */
export function imagePairs(
  images: readonly ReadImage[],
  takenIds: readonly string[],
  join: boolean,
): { pairs: Pair[]; twice: number } {
  const ids = [...takenIds]
  const pairs: Pair[] = []
  const paired = new Set<ReadImage>()
  const names = new Set<string>()
  let twice = 0
  const face = ({ src, name }: ReadImage) => ({ kind: 'image' as const, src, alt: name })
  const add = (name: string, a: ReadImage, b?: ReadImage): void => {
    const id = newId(name, ids, 'pair')
    ids.push(id)
    pairs.push({ id, name, a: face(a), ...(b ? { b: face(b) } : {}) })
  }
  const twins = join ? twinsAmong(images) : new Map<ReadImage, { other: ReadImage; stem: string }>()
  for (const image of images) {
    if (paired.has(image)) continue
    paired.add(image)
    const twin = twins.get(image)
    if (twin) {
      paired.add(twin.other)
      add(twin.stem, image, twin.other)
    } else if (names.has(image.src)) twice++
    else {
      names.add(image.src)
      add(image.name, image)
    }
  }
  return { pairs, twice }
}

/** For each image that is the first of two by name, the second, and the common part of their names. */
export function twinsAmong(images: readonly ReadImage[]): Map<ReadImage, { other: ReadImage; stem: string }> {
  const waiting = new Map<string, ReadImage>()
  const match = new Map<ReadImage, { other: ReadImage; stem: string }>()
  for (const image of images) {
    const named = sideOfName(image.name)
    if (named?.side === 'a') waiting.set(`${named.kind} ${named.stem.toLowerCase()}`, image)
  }
  for (const image of images) {
    const side = sideOfName(image.name)
    if (side?.side !== 'b') continue
    const key = `${side.kind} ${side.stem.toLowerCase()}`
    const first = waiting.get(key)
    if (!first) continue
    waiting.delete(key)
    match.set(first, { other: image, stem: side.stem })
  }
  return match
}
