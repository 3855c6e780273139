import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { leastAlike } from './least-alike.ts'

/** A likeness for each two of so many things, by their places. */
const anyTable = (size: number): fc.Arbitrary<(one: number, other: number) => number> =>
  fc
    .array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: size * size, maxLength: size * size })
    .map((values) => (one, other) => values[Math.min(one, other) * size + Math.max(one, other)]!)

/** Every choice of so many of the places from `from` on. */
function choices(size: number, count: number, from = 0): number[][] {
  if (count === 0) return [[]]
  const all: number[][] = []
  for (let one = from; one < size; one++)
    for (const rest of choices(size, count - 1, one + 1)) all.push([one, ...rest])
  return all
}
const mostOf = (chosen: readonly number[], likeness: (one: number, other: number) => number): number =>
  Math.max(0, ...chosen.flatMap((one, i) => chosen.slice(0, i).map((other) => likeness(one, other))))

describe('a choice of the least alike', () => {
  test('is as many as asked, each once, says how alike its two most alike are, and cannot be bettered by one exchange', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 9 }).chain((size) => fc.tuple(fc.constant(size), anyTable(size))),
        fc.integer({ min: 1, max: 9 }),
        ([size, likeness], count) => {
          const { chosen, most, two } = leastAlike(size, count, likeness)
          expect(chosen).toHaveLength(Math.min(size, count))
          expect(chosen).toEqual([...new Set(chosen)].sort((a, b) => a - b))
          expect(most).toBe(mostOf(chosen, likeness))
          if (two) expect(likeness(...two)).toBe(most)
          for (const out of chosen)
            for (let to = 0; to < size; to++) {
              if (chosen.includes(to)) continue
              const other = [...chosen.filter((one) => one !== out), to]
              expect(mostOf(other, likeness)).toBeGreaterThanOrEqual(most)
            }
          expect(leastAlike(size, count, likeness)).toEqual({ chosen, most, two })
        },
      ),
    )
  })
  test('of two is the best that there is', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 9 }).chain((size) => fc.tuple(fc.constant(size), anyTable(size))),
        ([size, likeness]) => {
          const best = Math.min(...choices(size, 2).map((chosen) => mostOf(chosen, likeness)))
          expect(leastAlike(size, 2, likeness).most).toBe(best)
        },
      ),
    )
  })
  test('finds those that are like nothing else among many that are', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.nat(59), { minLength: 2, maxLength: 12 }), (apart) => {
        const likeness = (one: number, other: number): number =>
          apart.includes(one) && apart.includes(other) ? 0.1 : 0.9
        const { chosen, most } = leastAlike(60, apart.length, likeness)
        expect([chosen, most]).toEqual([[...apart].sort((a, b) => a - b), 0.1])
      }),
    )
  })
  test('of none, of one, and of more than there are', () => {
    const likeness = (): number => 0.5
    expect(leastAlike(0, 5, likeness)).toEqual({ chosen: [], most: 0, two: null })
    expect(leastAlike(5, 0, likeness)).toEqual({ chosen: [], most: 0, two: null })
    expect(leastAlike(5, 1, likeness)).toMatchObject({ most: 0, two: null })
    expect(leastAlike(3, 9, likeness)).toEqual({ chosen: [0, 1, 2], most: 0.5, two: [0, 1] })
  })
})
