import { describe, expect, test } from '@jest/globals'
import { strToU8, unzipSync, zipSync } from 'fflate'
import { fromUint8Array } from 'js-base64'
import { problemLine } from '../result.ts'
import { gameWith, pairsNamed } from '../testing/games.ts'
import { pngOf } from '../testing/images.ts'
import { readGameZip, writeGameZip } from './game-zip.ts'

const PNG = pngOf(3, 2)
const src = `data:image/png;base64,${fromUint8Array(PNG)}`
const pairs = pairsNamed(8)
pairs[1]!.a = { kind: 'image', src, alt: 'One' }
pairs[2]!.b = { kind: 'image', src, alt: 'The same again' }
const game = gameWith({}, pairs)
const zip = writeGameZip(game)

const complaint = (bytes: Uint8Array): string => {
  const read = readGameZip(bytes)
  return read.ok ? 'fine' : problemLine(read.problem)
}
/** The zip with its entries changed. */
const changed = (change: (entries: Record<string, Uint8Array>) => void): Uint8Array => {
  const entries = unzipSync(zip)
  change(entries)
  return zipSync(entries)
}

describe('a game as a zip', () => {
  test('is read as it was written, each image stored once', () => {
    expect(Object.keys(unzipSync(zip))).toEqual(['game.json', 'art/1.png'])
    expect(readGameZip(zip)).toEqual({ ok: true, value: game })
  })
  test.each<[string, (entries: Record<string, Uint8Array>) => void, string]>([
    ['no game', (z) => delete z['game.json'], 'no game.json in this zip'],
    [
      'a missing image',
      (z) => delete z['art/1.png'],
      'game.json, deck.pairs[1].a.src: no "art/1.png" in this zip',
    ],
    [
      'an image that is none',
      (z) => (z['art/1.png'] = strToU8('words')),
      'game.json, deck.pairs[1].a.src: an image as data:image',
    ],
    [
      'an image too large',
      (z) => (z['art/1.png'] = new Uint8Array(9 * 2 ** 20)),
      'art/1.png: too large: 8 MiB an image, 64 MiB in all',
    ],
    [
      'images too large together',
      (z) => {
        for (let i = 2; i < 11; i++) z[`art/${i}.png`] = new Uint8Array(8 * 2 ** 20)
      },
      'too large: 8 MiB an image, 64 MiB in all',
    ],
    ['a torn game', (z) => (z['game.json'] = z['game.json']!.slice(0, 50)), 'game.json, line'],
  ])('with %s is refused, and says where', (_what, change, message) => {
    expect(complaint(changed(change))).toContain(message)
  })
  test.each(['__proto__', 'constructor', 'toString'])(
    'an image in %s, a name that every object knows, is missing like any other',
    (name) => {
      const named = changed((z) => {
        z['game.json'] = strToU8(Buffer.from(z['game.json']!).toString().replaceAll('art/1.png', name))
        // the zip writer cannot write the first of these names itself
        z['a'.repeat(name.length)] = PNG
      })
      const text = Buffer.from(named).toString('latin1').replaceAll('a'.repeat(name.length), name)
      expect(complaint(Buffer.from(text, 'latin1'))).toBe(
        `game.json, deck.pairs[1].a.src: no "${name}" in this zip`,
      )
      expect(Object.prototype).not.toHaveProperty('0')
    },
  )
  test('an entry that is no part of a game is not unpacked, however large', () => {
    expect(readGameZip(changed((z) => (z['more.txt'] = new Uint8Array(65 * 2 ** 20))))).toEqual({
      ok: true,
      value: game,
    })
  })
  test('cut off anywhere it is refused', () => {
    for (const length of [0, 3, 30, zip.length >> 1, zip.length - 1])
      expect(readGameZip(zip.slice(0, length)).ok).toBe(false)
  })
})
