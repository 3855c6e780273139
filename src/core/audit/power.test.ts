import { describe, expect, test } from '@jest/globals'
import { cardOf } from '../deck/card.ts'
import { draw } from '../deal/draw.ts'
import { streamOf } from '../deal/seed.ts'
import { shuffle } from '../deal/shuffle.ts'
import { prepareDeal } from '../deal/deal.ts'
import { pairsNamed, settingsWith } from '../testing/games.ts'
import { pairClasses } from './classes.ts'
import { shiftedChiSquareTail } from './probability.ts'
import { reportOf } from './report.ts'
import { Counter } from './tally.ts'
import { deckOf } from '../testing/audits.ts'
import { countBounds, testSeed } from '../testing/chance.ts'

describe('how sharp the test of places is', () => {
  test('on 4 × 4, a thousand boards: 8.72 %', () => {
    const stream = streamOf(testSeed('sharp'), 'shuffling')
    const counter = new Counter({ rows: 4, columns: 4, gaps: [] }, 8, 1000)
    for (let i = 0; i < 1000; i++)
      counter.add(shuffle(deckOf(8), stream).map((pair) => cardOf(pair, 'a', false)))
    const report = reportOf(counter.tally, 'shuffled', Math.log(1e10))
    expect(report.tests).toHaveLength(4)
    expect(report.sharpness! * 100).toBeCloseTo(8.72, 1)
  })
  const AUDITS = 60
  /**
   * How many of the audits see a deviation of so many times the sharpness; a small share of the boards is one certain
   * board.
   */
  function seenIn(side: number, boards: number, times: number): number {
    const board = { rows: side, columns: side, gaps: [] }
    const pairs = (side * side) / 2
    const stream = streamOf(testSeed(`power ${side} ${times}`), 'shuffling')
    const certain = shuffle(deckOf(pairs), stream)
    const audit = (chance: number): { seen: boolean; sharpness: number } => {
      const counter = new Counter(board, pairs, boards)
      for (let i = 0; i < boards; i++) {
        const deck = i < Math.round(chance * boards) ? certain : shuffle(deckOf(pairs), stream)
        counter.add(deck.map((pair) => cardOf(pair, 'a', false)))
      }
      const report = reportOf(counter.tally, 'shuffled', null)
      return { seen: report.places!.p * report.tests.length < 1e-3, sharpness: report.sharpness! }
    }
    // where a share q of boards is the same, places deviate by q √(n − 1) in the quadratic mean
    const chance = (times * audit(0).sharpness) / Math.sqrt(pairs - 1)
    let seen = 0
    for (let i = 0; i < AUDITS; i++) if (audit(chance).seen) seen++
    return seen
  }
  test.each([
    [2, 2000],
    [4, 1000],
    [6, 400],
  ])(
    'on %i × %i a deviation of that size is seen in 99 of 100 audits, and half of it seldom',
    (side, boards) => {
      // 60 audits: at a share of 0.75 instead of 0.99 fewer are seen than may be, 9 times of 10
      expect(seenIn(side, boards, 1)).toBeGreaterThanOrEqual(countBounds(AUDITS, 0.99)[0])
      // half the deviation is seen in at most 4 of 10
      expect(seenIn(side, boards, 0.5)).toBeLessThanOrEqual(countBounds(AUDITS, 0.4)[1])
    },
  )
})

describe('repeated pairs that are laid apart', () => {
  // 40 sets of 400 deals: a p below 0.1 comes 4 times; a share of 0.6 instead of 0.1 is seen 99 times of 100
  const SETS = 40
  test.each([
    ['one pair lies there twice as often', 'first', () => false],
    ['which one does is left to chance', 'random', () => false],
    ['related and identical', 'first', (i: number) => i > 0],
  ] as const)('%s: the p of even deals is even', (_, pick, related) => {
    const pairs = pairsNamed(3, related)
    const settings = settingsWith({
      board: { rows: 1, columns: 8 },
      fill: { repeat: 'evenly', pick },
      deal: { way: 'apart', steps: 2 },
    })
    const dealer = prepareDeal(pairs, settings)
    if (!dealer.ok) throw new Error(dealer.problem.message)
    const classes = pairClasses(pairs, settings)
    const deals = Array.from({ length: SETS * 400 }, (_, i) => dealer.value.deal(testSeed(`even-${i}-`)))
    let low = 0
    for (let set = 0; set < SETS; set++) {
      const counter = new Counter(settings.board, 3, 400, classes)
      for (const cells of deals.slice(set * 400, set * 400 + 400)) counter.add(cells)
      const { places } = reportOf(counter.tally, 'by-steps', null)
      if (places!.p < 0.1) low++
    }
    const [fewest, most] = countBounds(SETS, 0.1)
    expect(low).toBeGreaterThanOrEqual(fewest)
    expect(low).toBeLessThanOrEqual(most)
  })
  test('a pair that favours a place among those like it is found', () => {
    const settings = settingsWith({
      board: { rows: 1, columns: 8 },
      fill: { repeat: 'evenly', pick: 'first' },
      deal: { way: 'apart', steps: 2 },
    })
    const pairs = pairsNamed(3)
    const dealer = prepareDeal(pairs, settings)
    if (!dealer.ok) throw new Error(dealer.problem.message)
    const counter = new Counter(settings.board, 3, 2000, pairClasses(pairs, settings))
    for (let i = 0; i < 2000; i++) {
      const cells = dealer.value.deal(testSeed(`favoured-${i}-`))
      const [one, other] = [4, 8]
      // of the two pairs that lie there once, the first of the deck comes first on every fourth board
      const first = cells.find((card) => card === one || card === other)
      counter.add(
        i % 4 || first === one
          ? cells
          : cells.map((card) => (card === one ? other : card === other ? one : card)),
      )
    }
    expect(reportOf(counter.tally, 'by-steps', null).verdict).toBe('unfair')
  })
})

describe('a shifted chi-square', () => {
  // 1,000 sums of squares: a chance that is wrong by 0.15 is seen 99 times of 100
  test.each([
    [3, 5, 10],
    [105, 114, 162.8],
    [595, 300, 800],
  ])('of %i degrees, shifted by %d, above %d: as many of 1,000 sums of squares', (degrees, shift, x) => {
    const stream = streamOf(testSeed(`shifted ${degrees}`), 'shuffling')
    const normal = (): number =>
      Math.sqrt(-2 * Math.log((draw(stream, 1e6) + 0.5) / 1e6)) *
      Math.cos((2 * Math.PI * draw(stream, 1e6)) / 1e6)
    const SUMS = 1000
    let above = 0
    for (let i = 0; i < SUMS; i++) {
      let sum = (normal() + Math.sqrt(shift)) ** 2
      for (let k = 1; k < degrees; k++) sum += normal() ** 2
      if (sum > x) above++
    }
    const [fewest, most] = countBounds(SUMS, shiftedChiSquareTail(x, degrees, shift))
    expect(above).toBeGreaterThanOrEqual(fewest)
    expect(above).toBeLessThanOrEqual(most)
  })
})
