import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { pairsNamed, settingsWith } from '../testing/games.ts'
import { pairOf } from '../deck/card.ts'
import { logDeals } from './count.ts'
import { copiesOf, evenCounts, likelyCopies } from './copies.ts'
import { prepareDeal } from './deal.ts'

const DEFAULT = settingsWith({}).fill
const board = { rows: 6, columns: 6, gaps: [] }

/** How many pairs of each lie on a board. */
function counted(own: Parameters<typeof settingsWith>[0], count: number, seed = 'a'): number[] {
  const dealer = prepareDeal(pairsNamed(count), settingsWith(own))
  if (!dealer.ok) throw new Error(dealer.problem.message)
  const copies = new Array<number>(count).fill(0)
  for (const card of dealer.value.deal(seed)) copies[pairOf(card)]! += 0.5
  return copies
}

describe('copies', () => {
  test('five pairs on thirty-six cards', () => {
    const fill = { ...DEFAULT, repeat: 'evenly' as const }
    expect(copiesOf(pairsNamed(5), fill, 18)).toEqual({ how: 'evenly', each: 3, more: 3, pick: 'random' })
    expect(counted({ board, fill: { repeat: 'evenly' } }, 5).sort()).toEqual([3, 3, 4, 4, 4])
  })

  test('what comes evenly is what is told', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 17 }), fc.string({ minLength: 1 }), (count, seed) => {
        const told = copiesOf(pairsNamed(count), { ...DEFAULT, repeat: 'evenly' }, 18)
        const came = counted({ board, fill: { repeat: 'evenly' } }, count, seed)
        if (told?.how !== 'evenly') throw new Error('not told')
        expect(came.filter((copies) => copies === told.each + 1)).toHaveLength(told.more)
        expect(came.filter((copies) => copies === told.each)).toHaveLength(count - told.more)
      }),
    )
  })

  test.each([
    [18, 5],
    [8, 3],
    [40, 12],
    [3, 2],
  ])(
    'at random, %i pairs of %i: the likely span holds 9 of 10 boards, and a narrower one would not',
    (needed, size) => {
      const [low, high] = likelyCopies(needed, size)
      // by another way: counting draws by their binomial coefficients
      const choose = (k: number): number =>
        Array.from({ length: k }, (_, i) => (needed - i) / (i + 1)).reduce((a, b) => a * b, 1)
      const chance = (from: number, to: number): number =>
        Array.from({ length: to - from + 1 }, (_, i) => from + i).reduce(
          (sum, k) => sum + (choose(k) * (size - 1) ** (needed - k)) / size ** needed,
          0,
        )
      expect(chance(low, high)).toBeGreaterThanOrEqual(0.9)
      expect(chance(0, low)).toBeGreaterThanOrEqual(0.05)
      expect(low === 0 ? 0 : chance(0, low - 1)).toBeLessThan(0.05)
      expect(chance(high, needed)).toBeGreaterThan(0.05)
    },
  )

  test('no pair comes again where there are enough', () => {
    expect(copiesOf(pairsNamed(18), { ...DEFAULT, repeat: 'evenly' }, 18)).toBeNull()
    expect(copiesOf(pairsNamed(5), DEFAULT, 18)).toBeNull()
    expect(copiesOf(pairsNamed(18), { ...DEFAULT, repeat: 'at-random' }, 18)).toBeNull()
  })
  test('a pair may come again where all are drawn from all, however many there are', () => {
    const fill = { ...DEFAULT, repeat: 'with-replacement' as const }
    expect(copiesOf(pairsNamed(40), fill, 12)).toEqual({
      how: 'at-random',
      most: 12,
      likely: likelyCopies(12, 40),
    })
    // a board of one pair cannot hold another
    expect(copiesOf(pairsNamed(5), fill, 1)).toBeNull()
  })
})

describe('counts', () => {
  test('each pair comes as often as it is counted, wherever it lies', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 6 }), { minLength: 2, maxLength: 6 }),
        fc.constantFrom('shuffled' as const, 'in-order' as const, 'close' as const),
        fc.string({ minLength: 1 }),
        (copies, way, seed) => {
          const sum = copies.reduce((a, b) => a + b, 0)
          fc.pre(sum > 0 && sum <= 20)
          const counts = Object.fromEntries(copies.map((count, i) => [`p${i}`, count]))
          const own = {
            board: { rows: 2, columns: sum, gaps: [] },
            fill: { repeat: 'counts' as const, counts },
            deal: { way, steps: 2 },
          }
          expect(counted(own, copies.length, seed)).toEqual(copies)
        },
      ),
    )
  })

  test('counts that do not add up say so', () => {
    const level = settingsWith({ board, fill: { repeat: 'counts', counts: { p0: 3, p1: 4 } } })
    const dealer = prepareDeal(pairsNamed(3), level)
    expect(dealer.ok ? '' : dealer.problem).toMatchObject({
      code: 'counts-sum',
      at: 'fill.counts',
      message: 'the counts add up to 7, and the board needs 18',
    })
  })

  test('different deals are counted by the copies: 4 cards of one pair and 2 of another lie in 15 ways', () => {
    const level = settingsWith({
      board: { rows: 2, columns: 3, gaps: [] },
      fill: { repeat: 'counts', counts: { p0: 2, p1: 1 } },
    })
    expect(Math.exp(logDeals(pairsNamed(3), level)!)).toBeCloseTo(15, 9)
  })

  test('shared out evenly they add up to what is needed', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 20 }), fc.integer({ min: 1, max: 200 }), (count, needed) => {
        const counts = Object.values(evenCounts(pairsNamed(count), [...Array(count).keys()], needed))
        expect(counts.reduce((a, b) => a + b, 0)).toBe(needed)
        expect(Math.max(...counts) - Math.min(...counts)).toBeLessThanOrEqual(1)
      }),
    )
  })
})
