import { describe, expect, test } from '@jest/globals'
import { streamOf } from '../deal/seed.ts'
import { happens } from './chance.ts'
import { wilson } from './wilson.ts'

describe('the interval of a share', () => {
  test('is the published one', () => {
    // R. G. Newcombe, "Two-sided confidence intervals for the single proportion", Statistics in Medicine 17 (1998),
    // table I, method 3
    const [low, high] = wilson(81, 263)
    expect([low.toFixed(4), high.toFixed(4)]).toEqual(['0.2553', '0.3662'])
    expect(wilson(15, 148).map((end) => end.toFixed(4))).toEqual(['0.0624', '0.1605'])
    expect(wilson(0, 20).map((end) => end.toFixed(4))).toEqual(['0.0000', '0.1611'])
    expect(wilson(1, 29).map((end) => end.toFixed(4))).toEqual(['0.0061', '0.1718'])
  })
  test.each([0.05, 0.3, 0.5, 0.9])('holds a share of %d in about 95 of 100 cases', (share) => {
    const stream = streamOf(`share-${share}`, 'remembering')
    let held = 0
    for (let i = 0; i < 1000; i++) {
      let won = 0
      for (let game = 0; game < 200; game++) if (happens(stream, share)) won++
      const [low, high] = wilson(won, 200)
      if (low <= share && share <= high) held++
    }
    expect(held).toBeGreaterThan(925)
    expect(held).toBeLessThan(975)
  })
})
