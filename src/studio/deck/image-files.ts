import { fromUint8Array } from 'js-base64'
import { checkImage } from '../../core/files/image.ts'
import type { Pair } from '../../core/game/game.ts'
import { newId } from '../../core/game/new-id.ts'
import { LENGTHS } from '../../core/game/settings.ts'
import { bad, good, type Result } from '../../core/result.ts'

/** Images are made no larger than is useful on a card, in px of their longest side. */
export const LONGEST_SIDE = 512
/** More px than this are not decoded: a small file can hold an image that no browser should unpack. */
const MOST_PIXELS = 50_000_000

/** A face's `src` from an image file: checked, decoded, and made smaller if it is larger than useful. */
export async function imageSource(file: File): Promise<Result<string>> {
  const bytes = new Uint8Array(await file.arrayBuffer())
  const type = checkImage(bytes)
  if (!type.ok) return type
  if (type.value === 'svg+xml') {
    const src = `data:image/svg+xml;base64,${fromUint8Array(bytes)}`
    return (await drawable(src)) ? good(src) : bad('', 'an SVG that this browser cannot draw')
  }
  let bitmap: ImageBitmap
  try {
    bitmap = await createImageBitmap(new Blob([bytes], { type: `image/${type.value}` }))
  } catch {
    return bad('', 'an image that is damaged or cut off')
  }
  const { width, height } = bitmap
  if (width * height > MOST_PIXELS) {
    bitmap.close()
    return bad('', `${width} × ${height} px are too many; at most ${MOST_PIXELS / 1e6} million are read`)
  }
  const scale = Math.min(1, LONGEST_SIDE / Math.max(width, height))
  if (scale === 1 && type.value !== 'gif') {
    bitmap.close()
    return good(`data:image/${type.value};base64,${fromUint8Array(bytes)}`)
  }
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(width * scale))
  canvas.height = Math.max(1, Math.round(height * scale))
  const pen = canvas.getContext('2d')!
  pen.imageSmoothingQuality = 'high'
  pen.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
  bitmap.close()
  return good(canvas.toDataURL('image/png'))
}

async function drawable(src: string): Promise<boolean> {
  const image = new Image()
  image.src = src
  return image.decode().then(
    () => true,
    () => false,
  )
}

/** What a file's name says without its ending, as words. */
export const wordsOf = (name: string): string =>
  name
    .replace(/\.[^.]*$/, '')
    .replace(/[-_]+/g, ' ')
    .trim()
    .slice(0, LENGTHS.name) || 'Image'

/** Identical pairs from image files. Files that are no images are told and left out. */
export async function imagePairs(
  files: readonly File[],
  taken: readonly string[],
): Promise<{ pairs: Pair[]; problems: string[] }> {
  const pairs: Pair[] = []
  const problems: string[] = []
  for (const file of files) {
    const source = await imageSource(file)
    if (!source.ok) {
      const at = source.problem.at ? `${source.problem.at}: ` : ''
      problems.push(`${file.name}: ${at}${source.problem.message}`)
      continue
    }
    const name = wordsOf(file.name)
    const id = newId(name, [...taken, ...pairs.map((pair) => pair.id)], 'pair')
    pairs.push({ id, name, a: { kind: 'image', src: source.value, alt: name } })
  }
  return { pairs, problems }
}
