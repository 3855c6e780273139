import chardet from 'chardet'
import { bad, good, type Result } from '../result.ts'
import { encodingOf, readUtf8 } from './utf8.ts'

declare class TextDecoder {
  constructor(label: string, options: { fatal: boolean })
  decode(bytes: Uint8Array): string
}

/** The text of somebody else's list, and the encoding it seems to have. */
export type AnyText = { text: string; encoding: string }

/** How many bytes are examined. */
const LOOKED_AT = 1 << 16

/**
 * The text of bytes in any encoding, for lists that are previewed before they are taken: UTF-8 first, then UTF-16, with
 * or without a mark, then the encoding of one byte or more a letter that fits the letters best. Bytes that are not text
 * are a problem.
 */
export function readAnyText(bytes: Uint8Array): Result<AnyText> {
  const plain = readUtf8(bytes)
  if (plain.ok) return good({ text: plain.value, encoding: 'UTF-8' })
  const seems = encodingOf(bytes)
  if (seems === 'no text at all') return bad('', 'this is not text')
  const encoding = seems.startsWith('UTF-16')
    ? seems.includes('little')
      ? 'UTF-16LE'
      : 'UTF-16BE'
    : // with little to go by, letters of Western Europe
      oneByte(chardet.detect(bytes.subarray(0, LOOKED_AT)))
  const text = decoded(bytes, encoding) ?? decoded(bytes, 'windows-1252')
  return text === null || hasControls(text) ? bad('', 'this is not text') : good({ text, encoding })
}

function decoded(bytes: Uint8Array, encoding: string): string | null {
  try {
    return new TextDecoder(encoding, { fatal: true }).decode(bytes)
  } catch {
    return null
  }
}

/** If nothing decides between encodings of one byte a letter, Western Europe's is taken. */
const oneByte = (found: string | null): string =>
  !found || /^(UTF-8|ASCII|ISO-8859-1)$/i.test(found) ? 'windows-1252' : found

/**
 * Whether there are characters that no word list has but program files do: control characters other than tab, line ends
 * and the like.
 */
function hasControls(text: string): boolean {
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i)
    if (code < 0x09 || (code > 0x0d && code < 0x20)) return true
  }
  return false
}
