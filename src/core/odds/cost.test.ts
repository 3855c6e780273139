import { describe, expect, test } from '@jest/globals'
import { prepareDeal } from '../deal/deal.ts'
import type { Own } from '../settings/levels.ts'
import { cellsOf, pairsNamed, settingsWith } from '../testing/games.ts'
import { costOf } from './cost.ts'
import { playLuckiest, shortestClock } from './luckiest.ts'
import { par } from './par.ts'

const PAIRS = 8
const levelOf = (own: Own, pairs = PAIRS) => {
  const settings = settingsWith({ board: { rows: 4, columns: 4 }, ...own })
  const dealer = prepareDeal(pairsNamed(pairs), settings)
  if (!dealer.ok) throw new Error(dealer.problem.message)
  return { settings, dealer: dealer.value, cost: costOf(settings, dealer.value) }
}

test('the least time is all looks but the last; with skips it is none', () => {
  expect(levelOf({ turn: { matchLook: 700 } }).cost.leastTime).toBe(7 * 700)
  expect(
    levelOf({ turn: { matchLook: 700 }, clock: { mode: 'down', matchBonus: 2000 } }).cost.leastTime,
  ).toBe(7 * 700)
  expect(levelOf({ turn: { matchLook: 700, duringLook: 'skip-and-flip' } }).cost.leastTime).toBe(0)
})
test("on a clock that counts up, a bonus is taken off the least time, as it is off the players'", () => {
  // each look adds 700 and the next match takes 200 off, so the first, at no time, takes none
  const { cost } = levelOf({ turn: { matchLook: 700 }, clock: { mode: 'up', matchBonus: 200 } })
  expect(cost.leastTime).toBe(7 * 500)
  expect(cost.perfect.time).toBeGreaterThan(7 * 500)
  expect(levelOf({ turn: { matchLook: 700 }, clock: { mode: 'up', matchBonus: 2000 } }).cost.leastTime).toBe(
    0,
  )
})
test('the highest score is a streak without a miss, all of it luck, with what a win adds', () => {
  // 100, 150, 200, 250, 300 and then three times 300; 8 × 10 for luck; 3 for each life of 2
  const { cost } = levelOf({ score: { lucky: 10, perLifeLeft: 3 }, limits: { lives: 2 } })
  expect(cost.highest).toEqual({ score: 100 + 150 + 200 + 250 + 4 * 300 + 80 + 6, exact: true })
})
/**
 * The mean ms of a turn's thoughts, of a first one, and their deviation in a turn: those of lognormal variables of
 * medians 1100 and 900 and spread 0.4.
 */
const [THOUGHTS, FIRST, DEVIATION] = [2000 * Math.exp(0.08), 1100 * Math.exp(0.08), 642]
test('par and n² are not sampled, and the time follows from them: looks, and the pace of minds', () => {
  const { perfect, none } = levelOf({ clock: { mode: 'down', limit: 1000 } }).cost
  expect(perfect).toMatchObject({ turns: expect.closeTo(par(PAIRS).turns, 9), exactTurns: true })
  expect(none).toMatchObject({ turns: expect.closeTo(PAIRS ** 2, 9), exactTurns: true })
  for (const { turns, time, games } of [perfect, none]) {
    // the clock starts with the first flip
    const expected = (turns - PAIRS) * 1000 + 7 * 800 + turns * THOUGHTS - FIRST
    expect(Math.abs(time - expected)).toBeLessThan(4 * DEVIATION * Math.sqrt(turns / games))
  }
})
test('a first look is enough for a perfect memory, and nothing to one without any', () => {
  const { perfect, none } = levelOf({ turn: { firstLook: 2000 } }).cost
  expect(perfect).toMatchObject({ turns: PAIRS, exactTurns: false })
  expect(none.turns).toBeCloseTo(PAIRS ** 2, 9)
})
test('21 pairs are 441 turns without a memory', () => {
  expect(levelOf({ board: { rows: 6, columns: 7 } }, 21).cost.none.turns).toBeCloseTo(441, 9)
})
test('where pairs are repeated or do not lie by chance, the turns are those of games', () => {
  const { perfect, none } = levelOf({ fill: { repeat: 'evenly' } }, 1).cost
  expect(perfect).toMatchObject({ turns: 8, exactTurns: false, games: 120 })
  expect(none).toMatchObject({ turns: 8, exactTurns: false })
  const inOrder = levelOf({ deal: { way: 'in-order' } }).cost.perfect
  expect(inOrder.exactTurns).toBe(false)
  // 2 turns are more than ten standard errors of the mean of 120 games
  expect(Math.abs(inOrder.turns - par(PAIRS).turns)).toBeLessThan(2)
})
test('the score of a perfect memory has the bonus of the seconds and lives that are left', () => {
  const score = (own: Own): number => levelOf(own).cost.perfect.score
  const plain = score({})
  const clock = { mode: 'down', limit: 90_000 } as const
  // about 35.7 s of 90 are used: so many whole seconds are left
  const timed = score({ clock, score: { perSecondLeft: 10 } })
  expect(timed - plain).toBeGreaterThan(530)
  expect(timed - plain).toBeLessThan(560)
  const lived = score({ limits: { lives: 99 }, score: { perLifeLeft: 1 } }) - plain
  expect(Math.abs(lived - (99 - (par(PAIRS).turns - PAIRS)))).toBeLessThan(0.6)
})
test('a game that the clock ends has the score of that moment, and no bonus', () => {
  const { perfect } = levelOf({ clock: { mode: 'down', limit: 1000 }, score: { perSecondLeft: 100 } }).cost
  expect(perfect.score).toBeLessThan(200)
})

describe('the highest score of several players', () => {
  /** All orders of matches and misses of a few pairs, misses at most `most`; with one pair left nobody can miss. */
  function bestByTrying(
    pairs: number,
    players: number,
    most: number,
    points: (streak: number) => number,
  ): number {
    const go = (left: number, player: number, streaks: number[], misses: number): number => {
      if (!left) return 0
      const next = (player + 1) % players
      const set = (value: number): number[] => streaks.map((old, i) => (i === player ? value : old))
      const streak = streaks[player]! + 1
      const match = points(streak) + go(left - 1, next, set(streak), misses)
      return left > 1 && misses < most ? Math.max(match, go(left, next, set(0), misses + 1)) : match
    }
    return go(pairs, 0, new Array<number>(players).fill(0), 0)
  }
  const names = (count: number): string[] => Array.from({ length: count }, (_, i) => `P${i}`)
  const shared = (count: number, own: Own = {}): Own => ({
    players: { names: names(count), matchGoesAgain: false },
    ...own,
  })
  test('two players, four pairs: one misses on purpose, and must match once', () => {
    const { cost } = levelOf(shared(2, { board: { rows: 2, columns: 4 } }), 4)
    expect(cost.highest).toEqual({ score: 550, exact: true })
    expect(bestByTrying(4, 2, 8, (streak) => Math.min(50 + streak * 50, 300))).toBe(550)
  })
  test.each([
    [2, 3],
    [2, 5],
    [3, 4],
    [4, 3],
  ])('%i players, %i pairs: as high as any order gives', (players, pairs) => {
    const { cost } = levelOf(
      shared(players, { board: { rows: 2, columns: pairs }, score: { streakMax: 2, lucky: 7 } }),
      pairs,
    )
    const points = (streak: number): number => Math.min(50 + streak * 50, 200) + 7
    expect(cost.highest).toEqual({ score: bestByTrying(pairs, players, 9, points), exact: true })
  })
  test('a clock that pays for seconds makes misses dear: the best of both is found', () => {
    const own = (perSecondLeft: number): Own =>
      shared(2, {
        board: { rows: 2, columns: 4 },
        clock: { mode: 'down', limit: 60_000 },
        score: { perSecondLeft },
      })
    // all four at once 500, and 57 s left; with one miss 550, and 56 s left
    expect(levelOf(own(1), 4).cost.highest).toEqual({ score: 550 + 56, exact: true })
    expect(levelOf(own(100), 4).cost.highest).toEqual({ score: 500 + 5700, exact: true })
  })
  test('eight pairs among four is beyond what is tried, and known all the same', () => {
    expect(levelOf(shared(4)).cost.highest).toEqual({
      score: 100 + 150 + 200 + 250 + 3 * 300 + 100,
      exact: true,
    })
  })
  test('where it is not known it is a bound that nobody beats', () => {
    const { highest, perfect } = levelOf(shared(4, { limits: { turns: 20 } })).cost
    expect(highest.exact).toBe(false)
    expect(highest.score).toBeGreaterThan(perfect.score)
  })
  test('with another turn after each match it is that of one player', () => {
    expect(levelOf({ players: { names: names(3), matchGoesAgain: true } }).cost.highest).toEqual(
      levelOf({}).cost.highest,
    )
  })
  test('a perfect memory plays every seat', () => {
    const { perfect, highest } = levelOf(shared(4)).cost
    expect(perfect.score).toBeLessThan(highest.score)
    expect(perfect.score).toBeLessThan(levelOf({}).cost.perfect.score)
  })
})
test.each<[string, Own]>([
  ['that waits', {}],
  ['that runs on in a first look', { turn: { firstLook: 3000 }, clock: { startsAt: 'deal' } }],
  ['with a bonus', { clock: { matchBonus: 200 } }],
])('the shortest clock %s still wins, one second less does not', (_what, own) => {
  const at = (limit: number) => {
    const clock = { ...own.clock, mode: 'down' as const, limit }
    return settingsWith({ board: { rows: 4, columns: 4 }, ...own, clock })
  }
  const cells = cellsOf(at(90_000), pairsNamed(PAIRS))
  const shortest = shortestClock(at(90_000), cells)!
  expect(playLuckiest(at(shortest), cells).phase).toBe('won')
  expect(playLuckiest(at(shortest - 1000), cells).phase).toBe('lost')
})
