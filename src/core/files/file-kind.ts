import { imageType } from './image.ts'

const NAMES = { png: 'a PNG image', jpeg: 'a JPEG image', gif: 'a GIF image', webp: 'a WebP image' } as const
export const WEB_PAGE = 'a web page'
/** How many bytes decide whether a file is text. */
const HEAD = 1000

/**
 * What a file that cannot hold a game is, by its first bytes: "a PNG image", "plain text". Null if it may hold one:
 * JSON, or a zip.
 */
export function otherKind(bytes: Uint8Array): string | null {
  const head = String.fromCharCode(...bytes.subarray(0, HEAD))
  const text = head.replace(/^\xef\xbb\xbf/, '').trimStart()
  const type = imageType(bytes)
  if (type && type !== 'svg+xml') return NAMES[type]
  if (type)
    return /<svg[\s>]/i.test(text) ? 'an SVG image' : /<html|<!doctype html/i.test(text) ? WEB_PAGE : 'XML'
  if (text.startsWith('%PDF')) return 'a PDF'
  if (text === '') return bytes.length ? null : 'empty'
  if (/^[{[]/.test(text) || text.startsWith('PK') || text.includes('\0')) return null
  return 'plain text'
}

/** The message for a file of another kind. */
export const notAGame = (kind: string): string => `this is not a Lucky Twin game (it is ${kind})`
