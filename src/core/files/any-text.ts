import chardet from 'chardet'
import { bad, good, type Result } from '../result.ts'
import { encodingOf, readUtf8 } from './utf8.ts'

declare class TextDecoder {
  constructor(label: string, options: { fatal: boolean })
  decode(bytes: Uint8Array): string
}

/** Text of a list that somebody else made, and in which encoding it seemed to be. */
export type AnyText = { text: string; encoding: string }

/** So many bytes are looked at. */
const LOOKED_AT = 1 << 16

/**
 * The text of bytes in any encoding, for lists that are looked at before they are taken: UTF-8 first, then UTF-16, with or without a mark, then what an
 * encoding of one byte or more a letter seems to be by the letters it gives. Bytes that are no text at all are a problem.
 */
export function readAnyText(bytes: Uint8Array): Result<AnyText> {
  const plain = readUtf8(bytes)
  if (plain.ok) return good({ text: plain.value, encoding: 'UTF-8' })
  const seems = encodingOf(bytes)
  if (seems === 'no text at all') return bad('', 'this is no text')
  const encoding = seems.startsWith('UTF-16')
    ? seems.includes('little')
      ? 'UTF-16LE'
      : 'UTF-16BE'
    : // with little to go by, letters of Western Europe
      oneByte(chardet.detect(bytes.subarray(0, LOOKED_AT)))
  const text = decoded(bytes, encoding) ?? decoded(bytes, 'windows-1252')
  return text === null || hasControls(text) ? bad('', 'this is no text') : good({ text, encoding })
}

function decoded(bytes: Uint8Array, encoding: string): string | null {
  try {
    return new TextDecoder(encoding, { fatal: true }).decode(bytes)
  } catch {
    return null
  }
}

/** Where nothing tells letters of one byte apart, they are taken for those of Western Europe. */
const oneByte = (found: string | null): string =>
  !found || /^(UTF-8|ASCII|ISO-8859-1)$/i.test(found) ? 'windows-1252' : found

/** Whether there are signs that no list of words has, but files of programs: control characters other than tab, line ends and the like. */
function hasControls(text: string): boolean {
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i)
    if (code < 0x09 || (code > 0x0d && code < 0x20)) return true
  }
  return false
}
