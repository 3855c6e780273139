import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { countBounds } from './chance.ts'

/** The chance of each count, by Pascal's rule: one try after the other. */
function chancesOf(tries: number, chance: number): number[] {
  let chances = [1]
  for (let i = 0; i < tries; i++)
    chances = Array.from(
      { length: i + 2 },
      (_, count) => (chances[count] ?? 0) * (1 - chance) + (chances[count - 1] ?? 0) * chance,
    )
  return chances
}
const sum = (chances: readonly number[]): number => chances.reduce((total, chance) => total + chance, 0)

test('bounds leave out at most half a millionth at each end, and not one count more could be left out', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 300 }),
      fc.double({ min: 0.01, max: 0.99, noNaN: true }),
      (tries, chance) => {
        const [fewest, most] = countBounds(tries, chance)
        const chances = chancesOf(tries, chance)
        expect(sum(chances.slice(0, fewest))).toBeLessThan(5e-7)
        expect(sum(chances.slice(0, fewest + 1))).toBeGreaterThanOrEqual(4.99e-7)
        expect(sum(chances.slice(most + 1))).toBeLessThan(5e-7)
        expect(sum(chances.slice(most))).toBeGreaterThanOrEqual(4.99e-7)
      },
    ),
  )
})
