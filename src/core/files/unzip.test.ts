import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { strToU8, zipSync } from 'fflate'
import { unzip } from './unzip.ts'

const text = 'a line that can be packed well, again and again. '.repeat(40)
/** Where a part of a zip with this signature begins. */
function placeOf(zip: Uint8Array, signature: number): number {
  const view = new DataView(zip.buffer, zip.byteOffset, zip.byteLength)
  return zip.findIndex((_, at) => at + 4 <= zip.length && view.getUint32(at) === signature)
}
/** The name of a file. What writes the zips here, fflate, cannot write one name. */
const NAME = fc.string({ minLength: 1, unit: 'grapheme' }).filter((name) => name !== '__proto__')
const DIRECTORY = 0x504b0102
const messages = (zip: Uint8Array): string[] => {
  const read = unzip(zip)
  return read.ok
    ? [...read.value].map(([name, file]) => (file.ok ? '' : `${name}: ${file.problem.message}`))
    : [read.problem.message]
}

describe('a zip', () => {
  test('gives its files, packed or not, whatever their names', () => {
    fc.assert(
      fc.property(
        fc.dictionary(NAME, fc.uint8Array({ maxLength: 3000 })),
        fc.constantFrom(0, 6),
        (files, level) => {
          const read = unzip(zipSync(files as Record<string, Uint8Array>, { level: level as 0 | 6 }))
          if (!read.ok) throw new Error(read.problem.message)
          const contents = [...read.value].map(([name, file]) => [name, file.ok && [...file.value]])
          expect(Object.fromEntries(contents)).toEqual(
            Object.fromEntries(Object.entries(files).map(([name, file]) => [name, [...file]])),
          )
        },
      ),
      { examples: [[{ 'Ж/ö.json': new Uint8Array([1]) }, 6]] },
    )
  })

  test('unpacks what is wanted only', () => {
    const read = unzip(zipSync({ a: strToU8('1'), b: strToU8('2') }), ({ name }) => name === 'b')
    expect(read.ok && [...read.value.keys()]).toEqual(['b'])
  })

  test('with one flipped bit loses no other file, and gives no wrong one', () => {
    const zip = zipSync({ a: strToU8(text), b: strToU8('b') }, { level: 0 })
    const flipped = zip.slice()
    flipped[100]! ^= 1
    expect(messages(zip)).toEqual(['', ''])
    expect(messages(flipped)).toEqual(['a: damaged: its checksum is wrong', ''])
    fc.assert(
      fc.property(fc.nat(zip.length - 1), fc.nat(7), (at, bit) => {
        const broken = zip.slice()
        broken[at]! ^= 1 << bit
        const read = unzip(broken)
        const a = read.ok && read.value.get('a')
        if (a && a.ok) expect([...a.value]).toEqual([...strToU8(text)])
      }),
    )
  })

  test('stops at the length that an entry says', () => {
    const bomb = zipSync({ a: new Uint8Array(8 * 2 ** 20) })
    new DataView(bomb.buffer).setUint32(placeOf(bomb, DIRECTORY) + 24, 10, true)
    expect(messages(bomb)).toEqual(['a: damaged: it is not 10 bytes, as the zip says'])
    const short = zipSync({ a: strToU8(text) })
    new DataView(short.buffer).setUint32(placeOf(short, DIRECTORY) + 24, text.length + 1, true)
    expect(messages(short)[0]).toMatch(/damaged: it is not 1,?961 bytes/)
  })

  test('that is locked, packed in an unknown way, or cut off says so', () => {
    const zip = zipSync({ a: strToU8(text) })
    const at = placeOf(zip, DIRECTORY)
    const locked = zip.slice()
    locked[at + 8]! |= 1
    expect(messages(locked)).toEqual(['a: locked with a password'])
    const odd = zip.slice()
    odd[at + 10] = 99
    expect(messages(odd)).toEqual(['a: packed in a way that is not known here'])
    for (const cut of [0, 10, zip.length - 1, zip.length / 2])
      expect(messages(zip.slice(0, cut))).toEqual(['not a zip, or cut off'])
  })
})
