import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { chiSquareTail } from '../audit/probability.ts'
import { cardsMatch, NO_CARD } from '../deck/card.ts'
import type { Own } from '../settings/levels.ts'
import { allDeals, dealKey, everyMatching } from '../testing/enumerate.ts'
import { cellsOf, pairsNamed, settingsWith } from '../testing/games.ts'
import { logDeals, logOf } from './count.ts'
import { isProvedTooFar } from './apart-bound.ts'
import { prepareDeal, stepsReach } from './deal.ts'
import { stepLimits } from './step-rule.ts'
import { cellGraph, stepsBetween } from '../board/steps.ts'

const board = (rows: number, columns: number, gaps: string[] = []): Own['board'] => ({ rows, columns, gaps })
const odd = (i: number): boolean => i % 2 === 1

describe('on boards small enough to try everything, every allowed deal occurs, and none oftener than chance has it', () => {
  test.each<[string, Own, number, (i: number) => boolean]>([
    ['shuffled', { board: board(2, 3) }, 3, odd],
    ['shuffled, picked from more', { board: board(2, 2) }, 4, () => false],
    ['apart 2 on 2 × 4', { board: board(2, 4), deal: { way: 'apart', steps: 2 } }, 4, () => false],
    ['apart 2 on 3 × 3 without its middle', { board: board(3, 3, ['B2']), deal: { way: 'apart' } }, 4, odd],
    ['apart 3 on 1 × 6', { board: board(1, 6), deal: { way: 'apart', steps: 3 } }, 3, () => true],
    ['close 1 on 2 × 4', { board: board(2, 4), deal: { way: 'close', steps: 1 } }, 4, () => false],
    ['close 2 on 1 × 6', { board: board(1, 6), deal: { way: 'close', steps: 2 } }, 3, odd],
    [
      'close 1 round a ring',
      { board: board(3, 3, ['B2']), deal: { way: 'close', steps: 1 } },
      4,
      () => false,
    ],
    [
      'apart 2 with every pair twice in a row of 10',
      { board: board(1, 8), fill: { repeat: 'evenly' }, deal: { way: 'apart' } },
      2,
      () => true,
    ],
    [
      'apart 2 with three pairs four times',
      { board: board(1, 10), fill: { repeat: 'evenly' }, deal: { way: 'apart' } },
      3,
      () => false,
    ],
    [
      'apart 2 where every two rows or columns take turns',
      { board: board(4, 4), fill: { repeat: 'evenly' }, deal: { way: 'apart' } },
      4,
      () => false,
    ],
    [
      'apart 2 with an identical and a related pair',
      { board: board(1, 8), fill: { repeat: 'evenly' }, deal: { way: 'apart' } },
      2,
      odd,
    ],
  ])('%s', (_, own, count, related) => {
    const settings = settingsWith(own)
    const pairs = pairsNamed(count, related)
    const allowed = allDeals(pairs, settings)
    const dealer = prepareDeal(pairs, settings)
    if (!dealer.ok) throw new Error(dealer.problem.message)
    const counts = new Map<string, number>()
    const deals = allowed.size * 20
    for (let i = 0; i < deals; i++) {
      const key = dealKey(dealer.value.deal(`every-${i}`))
      counts.set(key, (counts.get(key) ?? 0) + 1)
    }
    expect([...counts.keys()].filter((key) => !allowed.has(key))).toEqual([])
    expect(counts.size).toBe(allowed.size)
    let spread = 0
    for (const seen of counts.values()) spread += (seen - 20) ** 2 / 20
    if (allowed.size > 1) expect(chiSquareTail(spread, allowed.size - 1)).toBeGreaterThan(1e-3)
  })
})

test('close with repeats: an arrangement comes as often as there are ways to pair its cards', () => {
  const settings = settingsWith({
    board: board(2, 4),
    fill: { repeat: 'evenly' },
    deal: { way: 'close', steps: 1 },
  })
  const pairs = pairsNamed(2)
  // all ways to lay four cards of each, with how many ways there are to pair like cards that touch
  const near = cellGraph([0, 1, 2, 3, 4, 5, 6, 7], 4, (steps) => steps === 1)
  const weights = new Map<string, number>()
  for (let mask = 0; mask < 256; mask++) {
    const laid = Array.from({ length: 8 }, (_, cell) => (mask >> cell) & 1)
    if (laid.reduce((a, b) => a + b) !== 4) continue
    const alike = near.map((others, cell) => others.filter((other) => laid[other] === laid[cell]))
    const ways = everyMatching(alike).length
    if (ways) weights.set(laid.map((pair) => pair * 4).join(), ways)
  }
  expect(weights.size).toBe(46)
  expect(Math.max(...weights.values())).toBe(9)
  const all = [...weights.values()].reduce((a, b) => a + b)
  const dealer = prepareDeal(pairs, settings)
  if (!dealer.ok) throw new Error(dealer.problem.message)
  const counts = new Map<string, number>()
  for (let i = 0; i < all * 30; i++) {
    const key = dealKey(dealer.value.deal(`close-${i}`))
    counts.set(key, (counts.get(key) ?? 0) + 1)
  }
  let spread = 0
  for (const [key, weight] of weights) spread += ((counts.get(key) ?? 0) - weight * 30) ** 2 / (weight * 30)
  expect(counts.size).toBe(46)
  expect(chiSquareTail(spread, 45)).toBeGreaterThan(1e-3)
})

describe('boards with little room for repeated pairs', () => {
  test.each<[string, Own, number, (i: number) => boolean]>([
    [
      '12 × 12 apart 2 with 4 pairs',
      { board: board(12, 12), deal: { way: 'apart', steps: 2 } },
      4,
      () => false,
    ],
    [
      '16 × 16 apart 2 with 4 pairs',
      { board: board(16, 16), deal: { way: 'apart', steps: 2 } },
      4,
      () => false,
    ],
    [
      '8 × 8 apart 4 with 16 pairs',
      { board: board(8, 8), deal: { way: 'apart', steps: 4 } },
      16,
      () => false,
    ],
    [
      '2 × 7 without F1 and G1, an identical and two related pairs',
      { board: board(2, 7, ['F1', 'G1']), deal: { way: 'apart', steps: 2 } },
      3,
      (i) => i > 0,
    ],
  ])('%s can be dealt, and keeps its rule', (_, own, count, related) => {
    const settings = settingsWith({ ...own, fill: { repeat: 'evenly' } })
    const { columns } = settings.board
    const cells = cellsOf(settings, pairsNamed(count, related), 'one')
    cells.forEach((card, i) =>
      cells.forEach((other, j) => {
        if (i < j && card !== NO_CARD && other !== NO_CARD && cardsMatch(card, other))
          expect(stepsBetween(i, j, columns)).toBeGreaterThanOrEqual(settings.deal.steps)
      }),
    )
    const other = cellsOf(settings, pairsNamed(count, related), 'other')
    expect(other).not.toEqual(cells)
  })
  test('8 × 12 apart 2 with 4 pairs: another board for nearly every seed', () => {
    const settings = settingsWith({
      board: board(8, 12),
      fill: { repeat: 'evenly' },
      deal: { way: 'apart', steps: 2 },
    })
    const boards = Array.from({ length: 60 }, (_, i) => cellsOf(settings, pairsNamed(4), `seed-${i}`).join())
    expect(new Set(boards).size).toBeGreaterThan(55)
  })
  test('what is proved and what was only not found are told apart', () => {
    const message = (own: Own, count: number): string => {
      const dealer = prepareDeal(pairsNamed(count), settingsWith({ ...own, fill: { repeat: 'evenly' } }))
      return dealer.ok ? '' : dealer.problem.message
    }
    // a square of 3 × 3 has nine cells, and four pairs fill four of them
    expect(message({ board: board(8, 8), deal: { way: 'apart', steps: 3 } }, 4)).toMatch(
      /cannot all lie 3 steps apart on this board; 2 is the most$/,
    )
    const searched = { board: board(20, 20), deal: { way: 'apart', steps: 3 } } as const
    expect(message(searched, 12)).toMatch(/^no way was found .* 2 is the most that was found$/)
    expect(stepsReach(pairsNamed(12), settingsWith({ ...searched, fill: { repeat: 'evenly' } }))).toEqual({
      apart: 2,
      close: 1,
      proved: false,
    })
  })
})

describe('what is proved impossible', () => {
  test('cannot be dealt in any way', () => {
    fc.assert(
      fc.property(
        fc.constantFrom([1, 6], [2, 3], [1, 8], [2, 4], [3, 4]),
        fc.integer({ min: 1, max: 4 }),
        fc.integer({ min: 2, max: 4 }),
        fc.array(fc.boolean(), { minLength: 4, maxLength: 4 }),
        ([rows, columns], count, steps, related) => {
          const pairs = pairsNamed(count, (i) => related[i]!)
          fc.pre(rows! * columns! > count * 2)
          const settings = settingsWith({
            board: board(rows!, columns!),
            fill: { repeat: 'evenly', pick: 'first' },
            deal: { way: 'apart', steps },
          })
          const inOrder = cellsOf({ ...settings, deal: { ...settings.deal, way: 'in-order' } }, pairs)
          const some = allDeals(pairs, settings).size > 0
          if (isProvedTooFar(settings.board, inOrder, steps)) expect(some).toBe(false)
          // on boards as small as these nothing is overlooked
          expect(prepareDeal(pairs, settings).ok).toBe(some)
        },
      ),
      { numRuns: 120 },
    )
  })
})

describe('the number of different deals', () => {
  test.each<[string, Own, number, (i: number) => boolean]>([
    ['identical pairs', { board: board(2, 3) }, 3, () => false],
    ['related and identical pairs', { board: board(2, 3) }, 3, odd],
    ['picked from more', { board: board(2, 2) }, 5, odd],
    ['the first of more', { board: board(2, 2), fill: { pick: 'first' } }, 5, odd],
    ['repeated evenly', { board: board(2, 4), fill: { repeat: 'evenly' } }, 3, odd],
    ['repeated evenly, the first', { board: board(2, 3), fill: { repeat: 'evenly', pick: 'first' } }, 2, odd],
    ['repeated at random', { board: board(2, 3), fill: { repeat: 'at-random' } }, 2, odd],
    ['drawn with replacement', { board: board(2, 3), fill: { repeat: 'with-replacement' } }, 4, odd],
    [
      'the first, drawn with replacement',
      { board: board(2, 2), fill: { repeat: 'with-replacement', pick: 'first' } },
      3,
      odd,
    ],
    ['in order', { board: board(2, 3), deal: { way: 'in-order' } }, 5, odd],
    [
      'in order, repeated at random',
      { board: board(2, 3), fill: { repeat: 'at-random' }, deal: { way: 'in-order' } },
      2,
      odd,
    ],
    ['apart', { board: board(2, 4), deal: { way: 'apart' } }, 5, odd],
    ['close', { board: board(2, 4, ['A1', 'B1']), deal: { way: 'close', steps: 1 } }, 3, odd],
  ])('%s: as many as are found by trying', (_, own, count, related) => {
    const settings = settingsWith(own)
    const pairs = pairsNamed(count, related)
    expect(Math.exp(logDeals(pairs, settings)!)).toBeCloseTo(allDeals(pairs, settings).size, 6)
  })

  test('of 24 pairs, 18 picked for 6 × 6: 36! / 2¹⁸ times 134,596', () => {
    let factorial = 1n
    for (let i = 2n; i <= 36n; i++) factorial *= i
    const exact = (factorial / 2n ** 18n) * 134596n
    expect(logDeals(pairsNamed(24), settingsWith({ board: board(6, 6) }))).toBeCloseTo(logOf(exact), 9)
  })

  test('what cannot be counted quickly is not guessed', () => {
    const far = settingsWith({ board: board(20, 20), deal: { way: 'apart', steps: 5 } })
    expect(logDeals(pairsNamed(200), far)).toBeNull()
    const repeated = settingsWith({ board: board(4, 4), fill: { repeat: 'evenly' }, deal: { way: 'close' } })
    expect(logDeals(pairsNamed(4), repeated)).toBeNull()
  })
})

describe('limits of steps', () => {
  test.each([
    [2, 3, 1, 1],
    [4, 4, 2, 1],
    [6, 6, 3, 1],
    [1, 6, 3, 1],
    [20, 20, 10, 1],
  ])('%i × %i holds apart %i and close %i', (rows, columns, apart, close) => {
    expect(stepLimits({ rows, columns, gaps: [] })).toEqual({ apart, close })
  })
  test('an islet of one cell needs a longer reach', () => {
    expect(stepLimits({ rows: 1, columns: 6, gaps: ['B1', 'C1'] })).toEqual({ apart: 2, close: 3 })
  })
  test.each<[Own, number, string]>([
    [
      { deal: { way: 'apart', steps: 3 } },
      8,
      'twins cannot all lie 3 steps apart on this board; 2 is the most it holds',
    ],
    [
      { board: { rows: 1, columns: 6, gaps: ['B1', 'C1'] }, deal: { way: 'close', steps: 2 } },
      2,
      'twins cannot all lie within 2 steps on this board; 3 is the least it holds',
    ],
    [
      { board: { rows: 2, columns: 4 }, fill: { repeat: 'evenly' }, deal: { way: 'apart', steps: 2 } },
      2,
      'with repeated pairs, matching cards cannot all lie 2 steps apart on this board; 1 is the most',
    ],
  ])('%j', (own, count, message) => {
    const dealer = prepareDeal(pairsNamed(count), settingsWith(own))
    expect(dealer).toMatchObject({
      ok: false,
      problem: { code: 'steps-unreachable', at: 'deal.steps', message },
    })
  })
  test.each([
    ['at-random', 3],
    ['with-replacement', 3],
    ['with-replacement', 12],
  ] as const)('%s from %i pairs there may be too many of a kind for any rule', (repeat, count) => {
    const own: Own = { fill: { repeat }, deal: { way: 'apart', steps: 2 } }
    expect(prepareDeal(pairsNamed(count), settingsWith(own))).toMatchObject({
      problem: { code: 'steps-by-chance', at: 'fill.repeat' },
    })
    expect(stepsReach(pairsNamed(count), settingsWith(own))).toMatchObject({ apart: 1, close: 1 })
    expect(prepareDeal(pairsNamed(count), settingsWith({ ...own, deal: { way: 'close' } })).ok).toBe(true)
  })
  test('what is said to be within reach is dealt, and nothing beyond', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 6 }),
        fc.integer({ min: 1, max: 6 }),
        fc.integer({ min: 1, max: 18 }),
        fc.constantFrom('evenly' as const, 'at-random' as const, 'with-replacement' as const),
        (rows, columns, count, repeat) => {
          fc.pre((rows * columns) % 2 === 0)
          const pairs = pairsNamed(count, odd)
          const own = (way: 'apart' | 'close', steps: number): Own => ({
            board: board(rows, columns),
            fill: { repeat },
            deal: { way, steps },
          })
          const reach = stepsReach(pairs, settingsWith(own('apart', 1)))!
          const dealt = (way: 'apart' | 'close', steps: number): boolean =>
            prepareDeal(pairs, settingsWith(own(way, steps))).ok
          expect(dealt('apart', reach.apart)).toBe(true)
          expect(dealt('close', reach.close)).toBe(true)
          expect(dealt('apart', reach.apart + 1)).toBe(false)
          if (reach.close > 1) expect(dealt('close', reach.close - 1)).toBe(false)
        },
      ),
      { numRuns: 60 },
    )
  })
})

test('every deal keeps its rule, whatever the board', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 2, max: 7 }),
      fc.integer({ min: 2, max: 7 }),
      fc.uniqueArray(fc.nat(48), { maxLength: 8 }),
      fc.constantFrom('apart' as const, 'close' as const),
      fc.integer({ min: 1, max: 3 }),
      fc.integer({ min: 6, max: 24 }),
      fc.string({ minLength: 1, maxLength: 8 }),
      (rows, columns, holes, way, steps, count, seed) => {
        const gaps = holes
          .filter((cell) => cell < rows * columns)
          .map((cell) => String.fromCharCode(65 + (cell % columns)) + (Math.floor(cell / columns) + 1))
        const settings = settingsWith({
          board: board(rows, columns, gaps),
          fill: { repeat: 'evenly' },
          deal: { way, steps },
        })
        const pairs = pairsNamed(count, odd)
        if (!prepareDeal(pairs, settings).ok) return
        const cells = cellsOf(settings, pairs, seed)
        cells.forEach((card, i) => {
          if (card === NO_CARD) return
          const near = cells.map((other, j) =>
            j !== i && other !== NO_CARD && cardsMatch(card, other) ? stepsBetween(i, j, columns) : NaN,
          )
          const twins = near.filter((distance) => !Number.isNaN(distance))
          if (way === 'apart') expect(Math.min(...twins)).toBeGreaterThanOrEqual(steps)
          else expect(Math.min(...twins)).toBeLessThanOrEqual(steps)
        })
      },
    ),
  )
})

test('graphs of cells know a king from a rook', () => {
  expect(cellGraph([0, 1, 2, 3], 2, (steps) => steps === 1)).toEqual([
    [1, 2, 3],
    [0, 2, 3],
    [0, 1, 3],
    [0, 1, 2],
  ])
})
