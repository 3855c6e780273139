import { describe, expect, test } from '@jest/globals'
import { streamOf } from '../deal/seed.ts'
import { prepareDeal } from '../deal/deal.ts'
import type { Own } from '../game/game.ts'
import { resultOf, type RoundResult } from '../play/result.ts'
import { newRound, type Round } from '../play/round.ts'
import { pairsNamed, settingsWith } from '../testing/games.ts'
import { par } from './par.ts'
import { playNoMemory, playPerfectMemory } from './players.ts'

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
    const games = results(pairs, 4000, playPerfectMemory)
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
    const games = results(18, 4000, playPerfectMemory)
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
      const turns = (own: Own): number[] => results(6, 200, playPerfectMemory, own).map((game) => game.turns)
      expect(turns({ turn: { onMiss } })).toEqual(turns({}))
      expect(turns({ turn: { onMiss, duringLook: 'skip-and-flip', firstLook: 900 } })).toEqual(turns({}))
    },
  )
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
