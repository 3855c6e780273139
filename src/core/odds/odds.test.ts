import { describe, expect, test } from '@jest/globals'
import { streamOf } from '../deal/seed.ts'
import { cardCells } from '../deck/card.ts'
import { playNoMemory, playPerfectMemory } from '../testing/perfect-memory.ts'
import { prepareDeal } from '../deal/deal.ts'
import { shuffle } from '../deal/shuffle.ts'
import type { Own } from '../settings/levels.ts'
import { resultOf, type RoundResult } from '../play/result.ts'
import { newRound } from '../play/new-round.ts'
import type { Round } from '../play/round.ts'
import { pairsNamed, settingsWith } from '../testing/games.ts'
import { par } from './par.ts'
import { missChances } from './turns.ts'

const orders = streamOf('orders', 'picking')
/** A perfect memory that flips unseen cards in an order of its own. */
const perfect = (round: Round): void => playPerfectMemory(round, shuffle(cardCells(round.cells), orders))

/** Seeded games of `pairs` pairs on a full board, each played by `play`. */
function results(pairs: number, games: number, play: (round: Round) => void, own: Own = {}): RoundResult[] {
  const settings = settingsWith({ board: { rows: 2, columns: pairs }, ...own })
  const dealer = prepareDeal(pairsNamed(pairs), settings)
  if (!dealer.ok) throw new Error(dealer.problem.message)
  return Array.from({ length: games }, (_, i) => {
    const round = newRound(settings, dealer.value.deal(`odds-${i}`), false)
    play(round)
    return resultOf(round)
  })
}

/** How many standard errors the mean of these values lies from what is expected. */
function errorsFrom(values: number[], expected: number): number {
  const mean = values.reduce((a, b) => a + b) / values.length
  const variance = values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (values.length - 1)
  return Math.abs(mean - expected) / Math.sqrt(variance / values.length)
}

describe('par', () => {
  test.each([
    [2, 2.66667, 0.66667],
    [4, 5.92381, 0.70476],
    [8, 12.39298, 0.70121],
    [18, 28.53318, 0.69668],
  ])('for %i pairs is the published number', (pairs, turns, lucky) => {
    expect(par(pairs).turns).toBeCloseTo(turns, 5)
    expect(par(pairs).lucky).toBeCloseTo(lucky, 5)
  })
  test('of one pair is one turn, of none no turn', () => {
    expect(par(1)).toEqual({ turns: 1, lucky: 1 })
    expect(par(0)).toEqual({ turns: 0, lucky: 0 })
  })
  test('nears (3 − 2 ln 2) n + 7/8 − 2 ln 2, its luck ln 2', () => {
    const n = 200
    expect(par(n).turns).toBeCloseTo((3 - 2 * Math.LN2) * n + 7 / 8 - 2 * Math.LN2, 2)
    expect(par(n).lucky).toBeCloseTo(Math.LN2, 2)
  })
})

describe('a perfect memory driven through the machine', () => {
  test.each([2, 4, 8])('needs par for %i pairs', (pairs) => {
    const games = results(pairs, 4000, perfect)
    expect(games.every((game) => game.outcome === 'won' && game.slips === 0)).toBe(true)
    expect(
      errorsFrom(
        games.map((game) => game.turns),
        par(pairs).turns,
      ),
    ).toBeLessThan(3.3)
    expect(
      errorsFrom(
        games.map((game) => game.lucky),
        par(pairs).lucky,
      ),
    ).toBeLessThan(3.3)
  })
  test('needs par for 18 pairs', () => {
    const games = results(18, 4000, perfect)
    expect(
      errorsFrom(
        games.map((game) => game.turns),
        28.53318,
      ),
    ).toBeLessThan(3.3)
    expect(games.every((game) => game.slips === 0)).toBe(true)
  })
  test.each(['press', 'button'] as const)(
    'plays the same turns where missed cards wait for a %s',
    (onMiss) => {
      const turns = (own: Own): number[] =>
        results(6, 200, (round) => playPerfectMemory(round, cardCells(round.cells)), own).map(
          (game) => game.turns,
        )
      expect(turns({ turn: { onMiss } })).toEqual(turns({}))
      expect(turns({ turn: { onMiss, duringLook: 'skip-and-flip', firstLook: 900 } })).toEqual(turns({}))
    },
  )
})

/**
 * The turns that a perfect memory needs where identical pairs are repeated, worked out card by card: for each pair how
 * many cards were never seen, and whether one is known.
 */
const worked = new Map<string, number>()
function turnsWithRepeats(pairs: { unseen: number; known: boolean }[]): number {
  const state = pairs
    .filter(({ unseen }) => unseen > 0)
    .sort((a, b) => a.unseen - b.unseen || +a.known - +b.known)
  if (!state.length) return 0
  const key = state.map(({ unseen, known }) => `${unseen}${known ? 'k' : ''}`).join()
  const before = worked.get(key)
  if (before !== undefined) return before
  const left = state.reduce((sum, { unseen }) => sum + unseen, 0)
  const after = (...changes: [number, { unseen: number; known: boolean }][]) =>
    state.map((one, i) => changes.find(([at]) => at === i)?.[1] ?? one)
  let turns = 0
  state.forEach((one, i) => {
    const chance = one.unseen / left
    if (one.known) {
      turns += chance * (1 + turnsWithRepeats(after([i, { unseen: one.unseen - 1, known: false }])))
      return
    }
    state.forEach((two, j) => {
      const unseen = two.unseen - (i === j ? 1 : 0)
      const second = (chance * unseen) / (left - 1)
      if (!unseen) return
      if (i === j)
        turns += second * (1 + turnsWithRepeats(after([i, { unseen: one.unseen - 2, known: false }])))
      else if (two.known)
        turns +=
          second *
          (2 +
            turnsWithRepeats(
              after(
                [i, { unseen: one.unseen - 1, known: true }],
                [j, { unseen: two.unseen - 1, known: false }],
              ),
            ))
      else
        turns +=
          second *
          (1 +
            turnsWithRepeats(
              after(
                [i, { unseen: one.unseen - 1, known: true }],
                [j, { unseen: two.unseen - 1, known: true }],
              ),
            ))
    })
  })
  worked.set(key, turns)
  return turns
}

describe('a perfect memory where pairs are repeated', () => {
  test.each([
    [1, 8],
    [2, 10.94],
    [4, 12.06],
    [8, 12.39],
  ])('%i pairs on 16 cards', (count, turns) => {
    const worked = turnsWithRepeats(
      Array.from({ length: count }, () => ({ unseen: 16 / count, known: false })),
    )
    expect(worked).toBeCloseTo(turns, 1)
    for (const missLook of [0, 1000]) {
      const settings = settingsWith({
        board: { rows: 4, columns: 4 },
        fill: { repeat: 'evenly' },
        turn: { missLook },
      })
      const dealer = prepareDeal(pairsNamed(count), settings)
      if (!dealer.ok) throw new Error(dealer.problem.message)
      const games = Array.from({ length: 3000 }, (_, i) => {
        const round = newRound(settings, dealer.value.deal(`repeats-${i}`), false)
        perfect(round)
        return resultOf(round)
      })
      expect(games.every((game) => game.outcome === 'won' && game.slips === 0)).toBe(true)
      if (count === 1) expect(new Set(games.map((game) => game.turns))).toEqual(new Set([8]))
      else
        expect(
          errorsFrom(
            games.map((game) => game.turns),
            worked,
          ),
        ).toBeLessThan(3.3)
    }
  })
  test('takes any card that matches a related one', () => {
    const settings = settingsWith({ board: { rows: 4, columns: 4 }, fill: { repeat: 'evenly' } })
    const dealer = prepareDeal(
      pairsNamed(2, () => true),
      settings,
    )
    if (!dealer.ok) throw new Error(dealer.problem.message)
    for (let i = 0; i < 200; i++) {
      const round = newRound(settings, dealer.value.deal(`related-${i}`), false)
      perfect(round)
      expect(resultOf(round)).toMatchObject({ outcome: 'won', slips: 0 })
    }
  })
})

describe('without a look time', () => {
  test.each([
    ['a perfect memory', perfect, 28.53318],
    ['no memory', (round: Round) => playNoMemory(round, orders), 324],
  ] as const)('%s needs as many turns as with one', (_, play, turns) => {
    const games = results(18, 1500, play, { turn: { missLook: 0, matchLook: 0 } })
    expect(games.every((game) => game.outcome === 'won')).toBe(true)
    expect(
      errorsFrom(
        games.map((game) => game.turns),
        turns,
      ),
    ).toBeLessThan(3.3)
  })
})

test('a perfect memory gains nothing from cards that lie in order', () => {
  const games = results(8, 3000, perfect, { deal: { way: 'in-order' } })
  expect(
    errorsFrom(
      games.map((game) => game.turns),
      12.39298,
    ),
  ).toBeLessThan(3.3)
})

describe('the chances of misses', () => {
  test('of two pairs: a lucky first turn in one case of three, else one miss', () => {
    expect([...missChances(2)].map((chance) => chance.toFixed(9))).toEqual([
      '0.333333333',
      '0.666666667',
      '0.000000000',
    ])
  })
  test.each([1, 4, 18, 200])('of %i pairs add up to 1, and their mean to par', (pairs) => {
    const chances = [...missChances(pairs)]
    expect(chances.reduce((a, b) => a + b)).toBeCloseTo(1, 12)
    expect(chances.reduce((sum, chance, misses) => sum + chance * misses, pairs)).toBeCloseTo(
      par(pairs).turns,
      9,
    )
  })
  test('are those of simulated games', () => {
    const games = results(6, 6000, perfect)
    missChances(6).forEach((chance, misses) => {
      const seen = games.filter((game) => game.misses === misses).length
      expect(Math.abs(seen - 6000 * chance)).toBeLessThan(3.5 * Math.sqrt(6000 * chance * (1 - chance)) + 1)
    })
  })
})

describe('no memory driven through the machine', () => {
  test.each([3, 6])('needs n² turns for %i pairs', (pairs) => {
    const stream = streamOf('no-memory', 'picking')
    const games = results(pairs, 3000, (round) => playNoMemory(round, stream))
    expect(games.every((game) => game.outcome === 'won')).toBe(true)
    expect(
      errorsFrom(
        games.map((game) => game.turns),
        pairs ** 2,
      ),
    ).toBeLessThan(3.3)
  })
})
