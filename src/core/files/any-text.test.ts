import { describe, expect, test } from '@jest/globals'
import { readAnyText } from './any-text.ts'

const TEXT = 'Wort,Bedeutung\nCafé,naïve Idee\nÜbung,größer so\n'
const utf16 = (text: string, big: boolean): Uint8Array => {
  const bytes = Buffer.from(text, 'utf16le')
  return new Uint8Array(big ? bytes.swap16() : bytes)
}
/**
 * Western European letters, one byte each. Node decodes quotation marks and dashes of this encoding wrongly, so there
 * are none.
 */
const western = (text: string): Uint8Array => Uint8Array.from(text, (letter) => letter.charCodeAt(0))

describe('text in any encoding', () => {
  test.each([
    ['UTF-8', new Uint8Array(Buffer.from(TEXT)), 'UTF-8'],
    ['UTF-8 with a mark', new Uint8Array(Buffer.from(`\ufeff${TEXT}`)), 'UTF-8'],
    ['UTF-16 without a mark, little end first', utf16(TEXT, false), 'UTF-16LE'],
    ['UTF-16 without a mark, big end first', utf16(TEXT, true), 'UTF-16BE'],
    ['UTF-16 with a mark', utf16(`\ufeff${TEXT}`, false), 'UTF-16LE'],
    ['Windows-1252', western(TEXT), 'windows-1252'],
  ])('%s is recognised', (_what, bytes, encoding) => {
    const read = readAnyText(bytes)
    if (!read.ok) throw new Error(read.problem.message)
    expect(read.value.text.replace(/^\ufeff/, '')).toBe(TEXT)
    expect(read.value.encoding).toBe(encoding)
  })
  test('bytes that are no text are refused', () => {
    expect(readAnyText(Uint8Array.from({ length: 400 }, (_, i) => (i * 37) % 256)).ok).toBe(false)
  })
})
