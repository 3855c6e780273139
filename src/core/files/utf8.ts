import { bad, good, type Result } from '../result.ts'

/** Every platform has it, but core's type check knows of none. */
declare class TextDecoder {
  constructor(label: string, options: { fatal: boolean; ignoreBOM?: boolean })
  decode(bytes: Uint8Array): string
}

/**
 * The text of UTF-8 bytes, a byte order mark left out. Nothing is replaced: a problem says which encoding it seems to
 * be instead.
 */
export function readUtf8(bytes: Uint8Array): Result<string> {
  try {
    return good(new TextDecoder('utf-8', { fatal: true }).decode(bytes))
  } catch {
    return bad(lineOf(bytes), `not UTF-8 text; it seems to be ${encodingOf(bytes)}. Save it as UTF-8 first`)
  }
}

/** "line 3": the line of the first invalid character, where lines can be counted. */
function lineOf(bytes: Uint8Array): string {
  if (bytes.subarray(0, 64).includes(0)) return ''
  const decoder = new TextDecoder('utf-8', { fatal: true })
  let line = 1
  let start = 0
  // no character continues over the end of a line
  for (let at = bytes.indexOf(10); at >= 0; at = bytes.indexOf(10, start)) {
    try {
      decoder.decode(bytes.subarray(start, at))
    } catch {
      break
    }
    line++
    start = at + 1
  }
  return `line ${line}`
}

/** What bytes that are not UTF-8 seem to be, by their first bytes and how they are spread. */
export function encodingOf(bytes: Uint8Array): string {
  const [first, second] = bytes
  if (first === 0xff && second === 0xfe) return 'UTF-16 (little-endian)'
  if (first === 0xfe && second === 0xff) return 'UTF-16 (big-endian)'
  const head = bytes.subarray(0, 4096)
  let [even, odd] = [0, 0]
  head.forEach((byte, i) => byte === 0 && (i % 2 ? odd++ : even++))
  if (odd > head.length / 8 && odd > 4 * even) return 'UTF-16 (little-endian)'
  if (even > head.length / 8 && even > 4 * odd) return 'UTF-16 (big-endian)'
  if (even + odd > 0) return 'no text at all'
  return 'Windows-1252 or another encoding of one byte a letter'
}
