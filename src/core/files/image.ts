import { imageSize } from 'image-size'
import { IMAGE_BOUNDS, largerThan, SIZES } from '../settings/bounds.ts'
import { bad, good, type Result } from '../result.ts'
import { bytesOf } from './data-url.ts'
import { checkSvg as checkMarkup, withoutDoctype } from './svg.ts'
import { readUtf8 } from './utf8.ts'

const IMAGE_TYPES = ['png', 'jpeg', 'webp', 'gif', 'svg+xml'] as const
export type ImageType = (typeof IMAGE_TYPES)[number]

export const starts = (bytes: Uint8Array, text: string, at = 0): boolean =>
  Array.from(text).every((letter, i) => bytes[at + i] === letter.charCodeAt(0))

/** The type that a file's own bytes show, whatever its name, or null. */
export function imageType(bytes: Uint8Array): ImageType | null {
  if (bytes[0] === 0x89 && starts(bytes, 'PNG\r\n\x1a\n', 1)) return 'png'
  if (bytes[0] === 0xff && bytes[1] === 0xd8 && bytes[2] === 0xff) return 'jpeg'
  if (starts(bytes, 'GIF87a') || starts(bytes, 'GIF89a')) return 'gif'
  if (starts(bytes, 'RIFF') && starts(bytes, 'WEBP', 8)) return 'webp'
  // an SVG is text; its markup begins near the start
  let i = starts(bytes, '\xef\xbb\xbf') ? 3 : 0
  while (i < 64 && bytes[i] !== undefined && bytes[i]! <= 0x20) i++
  return bytes[i] === 0x3c ? 'svg+xml' : null
}

/** Whether an SVG, given as text, only draws and stays within bounds (svg.ts). */
export const checkSvg = (text: string): Result<true> => checkMarkup(text, pixelsWithin)

/** The px of an image inside an SVG, a data URL of a raster image. */
function pixelsWithin(src: string): Result<number> {
  const image = bytesOf(src, 'image', SIZES.image)
  if (!image.ok) return image
  const type = imageType(image.value.bytes)
  if (!type || type === 'svg+xml') return bad('', 'not a PNG, JPEG, WebP or GIF image')
  const size = checkRaster(image.value.bytes, type)
  return size.ok ? good(size.value.width * size.value.height) : size
}

/** The size of a raster image, in px, from its header; a problem if that is more than any browser should unpack. */
function checkRaster(
  bytes: Uint8Array,
  type: Exclude<ImageType, 'svg+xml'>,
): Result<{ width: number; height: number }> {
  const size = type === 'gif' ? gifSize(bytes) : headerSize(bytes)
  if (!size || !(size.width > 0 && size.height > 0)) return bad('', 'damaged: its header tells no size')
  const { width, height } = size
  const message = `${width.toLocaleString('en')} × ${height.toLocaleString('en')} px are too many`
  if (width > IMAGE_BOUNDS.side || height > IMAGE_BOUNDS.side)
    return bad(
      '',
      `${message}; at most ${IMAGE_BOUNDS.side.toLocaleString('en')} along a side. Make it smaller first`,
    )
  if (width * height > IMAGE_BOUNDS.pixels)
    return bad('', `${message}; at most ${IMAGE_BOUNDS.pixels / 1e6} megapixels. Make it smaller first`)
  return good({ width, height })
}

function headerSize(bytes: Uint8Array): { width: number; height: number } | null {
  try {
    return imageSize(bytes)
  } catch {
    return null
  }
}

/** A GIF is as large as its screen, or its pictures where they reach beyond it. */
function gifSize(bytes: Uint8Array): { width: number; height: number } | null {
  const word = (at: number): number => bytes[at]! | (bytes[at + 1]! << 8)
  const colours = (flags: number): number => (flags & 0x80 ? 3 * 2 ** ((flags & 7) + 1) : 0)
  if (bytes.length < 13) return null
  let [width, height] = [word(6), word(8)]
  let at = 13 + colours(bytes[10]!)
  while (at < bytes.length && bytes[at] !== 0x3b) {
    if (bytes[at] === 0x21) at += 2
    else if (bytes[at] === 0x2c && at + 10 < bytes.length) {
      width = Math.max(width, word(at + 1) + word(at + 5))
      height = Math.max(height, word(at + 3) + word(at + 7))
      at += 11 + colours(bytes[at + 9]!)
    } else break
    // blocks of data, each preceded by its length, up to an empty one
    while (at < bytes.length && bytes[at] !== 0) at += bytes[at]! + 1
    at++
  }
  return { width, height }
}

/**
 * Checks that bytes are an image of a known type, not too large, and, if an SVG, one that only draws. Nothing is
 * unpacked.
 */
export function checkImage(bytes: Uint8Array): Result<ImageType> {
  if (bytes.length > SIZES.image) return bad('', largerThan(SIZES.image))
  const type = imageType(bytes)
  if (!type) return bad('', 'not a PNG, JPEG, WebP, GIF or SVG image')
  if (type !== 'svg+xml') {
    const size = checkRaster(bytes, type)
    return size.ok ? good(type) : size
  }
  if (bytes.length > SIZES.svg) return bad('', `an SVG that is ${largerThan(SIZES.svg)}`)
  const text = readUtf8(bytes)
  if (!text.ok) return bad('', 'an SVG that is not UTF-8 text')
  const checked = checkSvg(text.value)
  return checked.ok ? good(type) : bad(checked.problem.at, `an SVG that ${checked.problem.message}`)
}

/** The bytes of an image file as they are taken: of an SVG without its document type, which names a file elsewhere. */
export function takenBytes(bytes: Uint8Array): Uint8Array {
  if (imageType(bytes) !== 'svg+xml' || bytes.length > SIZES.svg) return bytes
  const text = readUtf8(bytes)
  if (!text.ok) return bytes
  const taken = withoutDoctype(text.value)
  return taken === text.value ? bytes : new TextEncoder().encode(taken)
}

/** Checks an image given as a base64 data URL, as game files hold them. Out: its type. */
export function checkImageUrl(src: string): Result<ImageType> {
  const image = bytesOf(src, 'image', SIZES.image)
  if (!image.ok) return image
  const { type, bytes } = image.value
  if (!(IMAGE_TYPES as readonly string[]).includes(type))
    return bad('', 'an image as data:image/TYPE;base64,… is expected')
  const checked = checkImage(bytes)
  if (checked.ok && checked.value !== type) return bad('', `says it is ${type}, but is ${checked.value}`)
  return checked
}
