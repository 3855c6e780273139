import { describe, expect, test } from '@jest/globals'
import jStat from 'jstat'
import { streamOf } from '../deal/seed.ts'
import { drawFactor, paceOf } from './pace.ts'

/** A stream that gives these numbers, then what lies in the middle. */
const streamWith = (...numbers: number[]) => ({ next: () => numbers.shift() ?? 2 ** 31 })
const TWO_32 = 2 ** 32

describe('the pace of a press', () => {
  test.each([0.2, 0.4, 1])('is e^(spread × z) at the quantile that is drawn, at a spread of %d', (spread) => {
    const pace = paceOf(spread)
    for (let share = 0.0041; share < 0.9959; share += 0.00037) {
      const exact = Math.exp(spread * jStat.normal.inv(share, 0, 1))
      // by less than two parts in ten thousand
      expect(Math.abs(drawFactor(pace, streamWith(share * TWO_32)) / exact - 1)).toBeLessThan(2e-4)
    }
  })
  test('is as often in a tail, and as far out, as the normal distribution says', () => {
    const stream = streamOf('tails', 'pacing')
    const pace = paceOf(1)
    const z = Array.from({ length: 400_000 }, () => Math.log(drawFactor(pace, stream)))
    for (const end of [-3.5, -3, -2.6, -1, 0, 2, 2.7, 3.2, 3.7]) {
      const share = jStat.normal.cdf(end, 0, 1)
      const below = z.filter((one) => one < end).length / z.length
      expect(Math.abs(below - share)).toBeLessThan(4 * Math.sqrt((share * (1 - share)) / z.length))
    }
    const mean = z.reduce((sum, one) => sum + one, 0) / z.length
    expect(Math.abs(mean)).toBeLessThan(4 / Math.sqrt(z.length))
    expect(Math.abs(z.reduce((sum, one) => sum + one * one, 0) / z.length - 1)).toBeLessThan(0.01)
  })
  test('is its median where nothing is spread', () => {
    for (const number of [0, 5, 2 ** 31, TWO_32 - 1])
      expect(drawFactor(paceOf(0), streamWith(number))).toBe(1)
  })
})
