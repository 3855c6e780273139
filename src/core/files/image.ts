import { toUint8Array } from 'js-base64'
import { SaxesParser } from 'saxes'
import { SIZES } from '../game/settings.ts'
import { bad, good, type Result } from '../result.ts'

export const IMAGE_TYPES = ['png', 'jpeg', 'webp', 'gif', 'svg+xml'] as const
export type ImageType = (typeof IMAGE_TYPES)[number]

const starts = (bytes: Uint8Array, text: string, at = 0): boolean =>
  Array.from(text).every((letter, i) => bytes[at + i] === letter.charCodeAt(0))

/** The type that a file's own bytes show, whatever its name says, or null. */
export function imageType(bytes: Uint8Array): ImageType | null {
  if (bytes[0] === 0x89 && starts(bytes, 'PNG\r\n\x1a\n', 1)) return 'png'
  if (bytes[0] === 0xff && bytes[1] === 0xd8 && bytes[2] === 0xff) return 'jpeg'
  if (starts(bytes, 'GIF87a') || starts(bytes, 'GIF89a')) return 'gif'
  if (starts(bytes, 'RIFF') && starts(bytes, 'WEBP', 8)) return 'webp'
  // an SVG is text; markup stands near its start
  let i = starts(bytes, '\xef\xbb\xbf') ? 3 : 0
  while (i < 64 && bytes[i] !== undefined && bytes[i]! <= 0x20) i++
  return bytes[i] === 0x3c ? 'svg+xml' : null
}

/** Elements that can run, load or embed something. */
const FORBIDDEN = new Set(['script', 'foreignobject', 'iframe', 'embed', 'object', 'handler', 'listener'])

/**
 * Whether an SVG is well formed, an SVG at all, and only draws: no script, no event handler, nothing loaded from outside.
 * In: its text. A problem names the line.
 */
export function checkSvg(text: string): Result<true> {
  const parser = new SaxesParser()
  let wrong: string | null = null
  let line = 0
  let first = true
  const refuse = (why: string): void => {
    if (wrong !== null) return
    wrong = why
    line = parser.line
  }
  parser.on('error', (error) => refuse(`not well-formed XML (${error.message.replace(/^\d+:\d+: /, '')})`))
  parser.on('doctype', (declared) => {
    if (/ENTITY/i.test(declared)) refuse('declares entities')
  })
  parser.on('opentag', (tag) => {
    const name = tag.name.replace(/^.*:/, '').toLowerCase()
    if (first && name !== 'svg') refuse(`not an SVG: it begins with <${tag.name}>`)
    first = false
    if (FORBIDDEN.has(name)) refuse(`holds a <${tag.name}>`)
    for (const [key, value] of Object.entries(tag.attributes)) {
      const what = key.replace(/^.*:/, '').toLowerCase()
      if (/^on/.test(what)) refuse(`holds an event handler (${key})`)
      else if (what === 'href' && !/^\s*(#|data:image\/(png|jpeg|gif|webp);)/i.test(value))
        refuse(`refers to something outside it (${key})`)
      else if (loadsFromOutside(value)) refuse(`loads something from outside (${key})`)
    }
  })
  parser.on('text', (content) => {
    if (loadsFromOutside(content)) refuse('loads something from outside (style)')
  })
  parser.write(text).close()
  if (first) refuse('not an SVG: no element in it')
  return wrong === null ? good(true) : bad(`line ${line}`, wrong)
}

const loadsFromOutside = (css: string): boolean =>
  /@import|javascript:|url\(\s*['"]?\s*(?!#|data:)[^)\s]/i.test(css)

/** The text of UTF-8 bytes, for SVGs; core has no decoder of its own at hand on every platform. */
function utf8(bytes: Uint8Array): string {
  let escaped = ''
  for (const byte of bytes) escaped += '%' + byte.toString(16).padStart(2, '0')
  return decodeURIComponent(escaped)
}

/** Checks that bytes are an image of a known type, not too large, and, if an SVG, one that only draws. */
export function checkImage(bytes: Uint8Array): Result<ImageType> {
  if (bytes.length > SIZES.image) return bad('', `larger than ${SIZES.image / 2 ** 20} MiB`)
  const type = imageType(bytes)
  if (!type) return bad('', 'not a PNG, JPEG, WebP, GIF or SVG image')
  if (type === 'svg+xml') {
    let text: string
    try {
      text = utf8(bytes)
    } catch {
      return bad('', 'an SVG that is not UTF-8 text')
    }
    const checked = checkSvg(text)
    if (!checked.ok) return bad(checked.problem.at, `an SVG that ${checked.problem.message}`)
  }
  return good(type)
}

const DATA_URL = /^data:image\/(png|jpeg|webp|gif|svg\+xml);base64,([A-Za-z0-9+/]+={0,2})$/

/** Checks an image given as a base64 data URL, as game files hold them. Out: its type. */
export function checkImageUrl(src: string): Result<ImageType> {
  const found = DATA_URL.exec(src)
  if (!found) return bad('', 'an image as data:image/TYPE;base64,… is expected')
  if (found[2]!.length > (SIZES.image * 4) / 3 + 4) return bad('', `larger than ${SIZES.image / 2 ** 20} MiB`)
  const checked = checkImage(toUint8Array(found[2]!))
  if (checked.ok && checked.value !== found[1])
    return bad('', `says it is ${found[1]!}, but is ${checked.value}`)
  return checked
}
