import { describe, expect, test } from '@jest/globals'
import { murmur128 } from './murmur.ts'
import { isSeed, nextSeed, streamOf } from './seed.ts'

const hex = (text: string, seed: number): string =>
  murmur128(
    Array.from(text, (c) => c.codePointAt(0)!),
    seed,
  )
    .map((word) => (word >>> 0).toString(16).padStart(8, '0'))
    .join('')

describe('the hash of a seed', () => {
  // worked out once by an independent implementation over the UTF-32LE bytes
  test.each([
    ['', 1, '88c4adec54d201b954d201b954d201b9'],
    ['a', 1, '3f450bdba3d52120a3d52120a3d52120'],
    ['abc', 3, '9c595bd97affad8885778c797d8d6349'],
    ['abcd', 2, '51a5936ab76e09e7d9703f62a8233295'],
    ['tick-1', 2, '30975dba2c5f6b326232778dfbd7afef'],
    ['The Clockmaker’s Drawer', 2, 'db7fa915dd6715dc311815e6d99fefff'],
  ])('of %j for purpose %i is the published function', (text, seed, expected) => {
    expect(hex(text, seed)).toBe(expected)
  })
})

describe('streams', () => {
  test('the numbers that docs/shuffle.md lists', () => {
    const stream = streamOf('tick-1', 'shuffling')
    expect([stream.next(), stream.next(), stream.next()].map((n) => n >>> 0)).toEqual([
      674700065, 1980406394, 1430248358,
    ])
  })

  test('a purpose has a stream of its own', () => {
    expect(streamOf('x', 'picking').next()).not.toBe(streamOf('x', 'shuffling').next())
  })

  test('composed and decomposed letters are the same seed', () => {
    expect(streamOf('caf\u00e9', 'swaps').next()).toBe(streamOf('cafe\u0301', 'swaps').next())
  })

  test('seeds have 1 to 64 characters in NFC', () => {
    expect(isSeed('')).toBe(false)
    expect(isSeed('e\u0301'.repeat(64))).toBe(true)
    expect(isSeed('x'.repeat(65))).toBe(false)
  })

  test('the next seed follows the rule', () => {
    const day = Date.UTC(2026, 10, 23, 23, 59, 59)
    expect(nextSeed('daily', day, 5)).toBe('2026-11-23')
    expect(nextSeed({ fixed: 'tick-1' }, day, 5)).toBe('tick-1')
    expect(nextSeed('every-play', day, 5)).not.toBe(nextSeed('every-play', day, 6))
  })
})
