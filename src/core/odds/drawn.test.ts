import { describe, expect, test } from '@jest/globals'
import { READY_MINDS } from '../settings/mind.ts'
import { mindWith } from '../testing/levels.ts'
import { countBins, kernelWidth, quantile, smooth } from './density.ts'
import { exampleOf } from './example.ts'
import { leftAfter } from './left-after.ts'

const sum = (values: ArrayLike<number>): number => Array.from(values).reduce((all, one) => all + one, 0)

describe('a density', () => {
  test('counts every value, those beyond an end at that end', () =>
    expect(Array.from(countBins([-5, 0, 0.9, 1, 2.5, 4, 99], [0, 4], 4))).toEqual([3, 1, 1, 2]))
  test('is drawn out without losing or gaining any, and stays where it was', () => {
    const counts = new Float64Array(41)
    counts[20] = 10
    counts[0] = 4
    const drawn = smooth(counts, 2)
    expect(sum(drawn)).toBeCloseTo(14, 9)
    expect(drawn[20]!).toBeLessThan(3)
    expect(drawn[18]).toBeCloseTo(drawn[22]!, 9)
    expect(drawn[20]!).toBeGreaterThan(drawn[17]!)
    expect(smooth(counts, 0)).toBe(counts)
  })
  test('has a kernel as wide as its values, by hand', () => {
    // 1 to 5: s = 1.5811, the quartiles 2 and 4: 2 / 1.34 = 1.4925
    expect(kernelWidth([5, 1, 3, 2, 4])).toBeCloseTo(0.9 * (2 / 1.34) * 5 ** -0.2, 9)
    expect(kernelWidth([3, 3, 3])).toBe(0)
    expect(kernelWidth([])).toBe(0)
    expect(quantile([1, 2, 4], 0.75)).toBe(3)
  })
})

describe('what is left of a card', () => {
  test('is what its memory says: all, none, or less each turn', () => {
    expect(leftAfter(mindWith({}), 4)).toEqual([1, 1, 1, 1])
    expect(leftAfter(mindWith({ notice: 0 }), 3)).toEqual([0, 0, 0])
    expect(leftAfter(mindWith({ hold: 0 }), 3)).toEqual([0, 0, 0])
    leftAfter(mindWith({ notice: 0.8, fade: 0.1 }), 6).forEach((share, turn) =>
      expect(Math.abs(share - 0.8 * 0.9 ** (turn + 1))).toBeLessThan(0.04),
    )
  })
  test('ends where as many fresher cards are held', () => {
    // four are held: the card's own turn leaves it, the next two push it out, the second of its turn a little later
    const [first, second, third] = leftAfter(mindWith({ hold: 4 }), 3)
    expect([first, third]).toEqual([1, 0])
    expect(second).toBe(1)
    expect(leftAfter(mindWith({ hold: 3 }), 3)).toEqual([1, 0.5, 0])
  })
})

describe('the example of eight cards', () => {
  test.each(READY_MINDS)('is the same each time for $name, and ends with all cards matched', (mind) => {
    const example = exampleOf(mind)
    expect(exampleOf(mind)).toEqual(example)
    const matched = example.turns.filter(({ how }) => how !== 'fresh' && how !== 'slip')
    expect(matched.length === 4 || !example.complete).toBe(true)
    // nothing that is matched is remembered, and no more than is held
    for (const [place, { remembered }] of example.turns.entries()) {
      const gone = example.turns
        .slice(0, place + 1)
        .flatMap(({ how, first, second }) => (how === 'fresh' || how === 'slip' ? [] : [first, second]))
      expect(remembered.filter((cell) => gone.includes(cell))).toEqual([])
      expect(remembered.length).toBeLessThanOrEqual(mind.memory.hold ?? 8)
    }
  })
  test('is cut where a mind needs very long', () => {
    const { turns, complete } = exampleOf(mindWith({ blur: 1 }))
    expect(turns.length <= 24 && (complete || turns.length === 24)).toBe(true)
  })
})
