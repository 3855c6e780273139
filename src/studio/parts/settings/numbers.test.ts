import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { readNumber, UNITS, writeNumber } from './numbers.ts'

describe('numbers for people', () => {
  test.each([
    [1000, 'seconds', '1.0 s'],
    [1250, 'seconds', '1.25 s'],
    [90_000, 'clock', '1:30'],
    [5000, 'clock', '0:05'],
    [3, 'times', '3 ×'],
    [0.5, 'more', '50 %'],
    [1200, 'points', '1,200'],
    [63.5, 'mm', '63.5'],
  ] as const)('%s as %s is %s', (value, unit, text) => {
    expect(writeNumber(value, unit)).toBe(text)
  })
  test.each([
    ['2', 'seconds', 2000],
    ['1,5 s', 'seconds', 1500],
    ['90', 'clock', 90_000],
    ['1:05', 'clock', 65_000],
    ['12,000', 'points', 12_000],
    ['75%', 'more', 0.75],
    ['2.5x', 'times', 2.5],
    ['63,54 mm', 'mm', 63.5],
    ['', 'count', null],
    ['many', 'count', null],
    ['1:2:3', 'clock', null],
    ['1e9', 'count', null],
  ] as const)('%j as %s is read as %s', (text, unit, value) => {
    expect(readNumber(text, unit)).toBe(value)
  })
  test('what is written is read back', () => {
    fc.assert(
      fc.property(fc.constantFrom(...UNITS), fc.integer({ min: 0, max: 7200 }), (unit, n) => {
        const value =
          unit === 'seconds' || unit === 'clock' ? n * 10 : unit === 'more' || unit === 'times' ? n / 100 : n
        expect(readNumber(writeNumber(value, unit), unit)).toBeCloseTo(value, 8)
      }),
    )
  })
})
