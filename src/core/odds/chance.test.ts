import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import jStat from 'jstat'
import { streamOf } from '../deal/seed.ts'
import { happens, normalAt, spared } from './chance.ts'

test('something happens as often as its chance says, and nothing is drawn for 0 and 1', () => {
  const stream = streamOf('happens', 'remembering')
  let happened = 0
  for (let i = 0; i < 100_000; i++) happened += Number(happens(stream, 0.3))
  expect(Math.abs(happened / 100_000 - 0.3)).toBeLessThan(4 * Math.sqrt(0.21 / 100_000))
  const none = {
    next: () => {
      throw new Error('a number was drawn')
    },
  }
  expect([happens(none, 0), happens(none, 1)]).toEqual([false, true])
  expect([spared(none, 0, 5), spared(none, 1, 5), spared(none, 0.5, 0)]).toEqual([5, 0, 0])
})

test('of things in a row each is lost on its own: so many are spared as often as a number for each would have it', () => {
  const [chance, most, draws] = [0.15, 5, 100_000]
  const stream = streamOf('spared', 'remembering')
  const counts = new Array<number>(most + 1).fill(0)
  for (let i = 0; i < draws; i++) counts[spared(stream, chance, most)]!++
  for (const [kept, count] of counts.entries()) {
    const share = 0.85 ** kept * (kept < most ? 0.15 : 1)
    expect(Math.abs(count / draws - share)).toBeLessThan(4 * Math.sqrt((share * (1 - share)) / draws))
  }
})

test('all are spared without a chance of loss, none where each is lost, and never more than there are', () =>
  fc.assert(
    fc.property(
      fc.integer({ min: -(2 ** 31), max: 2 ** 31 - 1 }),
      fc.nat(400),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (number, most, chance) => {
        const stream = { next: () => number }
        expect(spared(stream, 0, most)).toBe(most)
        expect(spared(stream, 1, most)).toBe(0)
        const kept = spared(stream, chance, most)
        expect(kept >= 0 && kept <= most).toBe(true)
      },
    ),
  ))

test('a normal draw is the quantile of the number that is drawn, right to 7 digits, also at either end', () =>
  fc.assert(
    fc.property(fc.nat(2 ** 32 - 1), (number) => {
      const expected = jStat.normal.inv((number + 0.5) / 2 ** 32, 0, 1)
      expect(Math.abs(normalAt(number) - expected)).toBeLessThan(2e-7 * Math.max(1, Math.abs(expected)))
    }),
    { examples: [[0], [1], [2 ** 31 - 1], [2 ** 31], [2 ** 32 - 1]], numRuns: 500 },
  ))

test('a normal draw has its mean and its spread, and lies as often below each value as the distribution says', () => {
  const stream = streamOf('normal', 'pacing')
  const drawn = Array.from({ length: 200_000 }, () => normalAt(stream.next() >>> 0))
  for (const end of [-3.5, -3, -2, -1, -0.3, 0, 0.5, 1.5, 2.5, 3.3]) {
    const expected = jStat.normal.cdf(end, 0, 1)
    const below = drawn.filter((one) => one < end).length / drawn.length
    expect(Math.abs(below - expected)).toBeLessThan(4 * Math.sqrt((expected * (1 - expected)) / drawn.length))
  }
  const mean = drawn.reduce((sum, one) => sum + one, 0) / drawn.length
  expect(Math.abs(mean)).toBeLessThan(4 / Math.sqrt(drawn.length))
  expect(Math.abs(drawn.reduce((sum, one) => sum + one * one, 0) / drawn.length - 1)).toBeLessThan(0.015)
  // one draw has nothing to do with the next
  const next = drawn.slice(1).reduce((sum, one, i) => sum + one * drawn[i]!, 0) / drawn.length
  expect(Math.abs(next)).toBeLessThan(4 / Math.sqrt(drawn.length))
})
