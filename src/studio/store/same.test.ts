import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { sameMembers, slicesOf } from './same.ts'

describe('slices of a list', () => {
  test('joined give the list again, and none is longer than asked', () => {
    fc.assert(
      fc.property(fc.array(fc.integer()), fc.integer({ min: 1, max: 9 }), (list, size) => {
        const slices = slicesOf(list, size)
        expect(slices.flat()).toEqual(list)
        expect(slices.slice(0, -1).every((slice) => slice.length === size)).toBe(true)
        expect(slices.every((slice) => slice.length > 0 && slice.length <= size)).toBe(true)
      }),
    )
  })
  test('stay the same values where their members did', () => {
    const list = [1, 2, 3, 4, 5, 6, 7]
    const before = slicesOf(list, 3)
    const after = slicesOf([1, 2, 3, 4, 0, 6, 7], 3, before)
    expect(after[0]).toBe(before[0])
    expect(after[1]).toEqual([4, 0, 6])
    expect(after[2]).toBe(before[2])
    expect(slicesOf([1, 2, 3, 4, 5, 6, 7, 8], 3, before)[2]).toEqual([7, 8])
  })
  test('a list has the same members only in the same order', () => {
    expect(sameMembers([1, 2], [1, 2])).toBe(true)
    expect(sameMembers([1, 2], [2, 1])).toBe(false)
    expect(sameMembers([1, 2], [1])).toBe(false)
    expect(sameMembers([{}], [{}])).toBe(false)
  })
})
