import { describe, expect, test } from '@jest/globals'
import { zipSync } from 'fflate'
import { problemLine } from '../result.ts'
import { gameWith } from '../testing/games.ts'
import { writeGame } from './game-file.ts'
import { readGameZip } from './game-zip.ts'
import { readUtf8 } from './utf8.ts'

const bytes = (...all: number[]): Uint8Array => Uint8Array.from(all)
const latin = (text: string): Uint8Array => Uint8Array.from(text, (letter) => letter.charCodeAt(0))
const utf16 = (text: string, big: boolean): number[] =>
  Array.from(text).flatMap((letter) => (big ? [0, letter.charCodeAt(0)] : [letter.charCodeAt(0), 0]))
const complaint = (data: Uint8Array): string => {
  const read = readUtf8(data)
  return read.ok ? 'fine' : problemLine(read.problem)
}

describe('text is read as UTF-8 or not at all', () => {
  test('with its letters, and without a byte order mark', () => {
    expect(readUtf8(bytes(0xef, 0xbb, 0xbf, 0x43, 0xc3, 0xa9))).toEqual({ ok: true, value: 'Cé' })
    expect(readUtf8(bytes())).toEqual({ ok: true, value: '' })
  })
  test.each<[string, Uint8Array, RegExp]>([
    ['one byte a letter', latin('Tea\nCaf\xe9\n'), /^line 2: not UTF-8 text; it seems to be Windows-1252 /],
    [
      'UTF-16 with a mark',
      bytes(0xff, 0xfe, ...utf16('Café', false)),
      /^not UTF-8 text; it seems to be UTF-16 \(little-endian\)/,
    ],
    [
      'the other way round',
      bytes(0xfe, 0xff, ...utf16('Café', true)),
      /it seems to be UTF-16 \(big-endian\)/,
    ],
    [
      'UTF-16 without one',
      bytes(...utf16('Caf\xe9 and a few words more', false)),
      /it seems to be UTF-16 \(little-endian\)/,
    ],
    ['a letter cut in two', bytes(0x61, 0x0a, 0x62, 0xc3), /^line 2: not UTF-8 text/],
    ['no text', bytes(0x00, 0x01, 0x02, 0xff, 0xfe, 0x00, 0x7f), /it seems to be no text at all/],
  ])('%s', (_, data, message) => expect(complaint(data)).toMatch(message))

  test('in a zip too', () => {
    const game = latin(writeGame({ ...gameWith(), title: 'Caf\xe9' }))
    const read = readGameZip(zipSync({ 'game.json': game }))
    expect(read.ok ? '' : problemLine(read.problem)).toMatch(/^game.json, line \d+: not UTF-8 text/)
  })
  test('a large file of another encoding is known at once', () => {
    // a look at every line from the start of the file would take minutes
    expect(complaint(latin(`${'word\n'.repeat(400_000)}caf\xe9`))).toMatch(/^line 400001: /)
  })
})
