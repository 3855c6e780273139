import { expect, test } from '@jest/globals'
import { prepareDeal } from '../deal/deal.ts'
import type { Own } from '../game/game.ts'
import { cellsOf, pairsNamed, settingsWith } from '../testing/games.ts'
import { costOf } from './cost.ts'
import { playLuckiest, shortestClock } from './luckiest.ts'
import { par } from './par.ts'

const PAIRS = 8
const levelOf = (own: Own) => {
  const settings = settingsWith({ board: { rows: 4, columns: 4 }, ...own })
  const dealer = prepareDeal(pairsNamed(PAIRS), settings)
  if (!dealer.ok) throw new Error(dealer.problem.message)
  return { settings, dealer: dealer.value, cost: costOf(settings, dealer.value) }
}

test('the least time is all looks but the last; with skips it is none', () => {
  expect(levelOf({ turn: { matchLook: 700 } }).cost.leastTime).toBe(7 * 700)
  for (const mode of ['up', 'down'] as const)
    expect(levelOf({ turn: { matchLook: 700 }, clock: { mode, matchBonus: 2000 } }).cost.leastTime).toBe(
      7 * 700,
    )
  expect(levelOf({ turn: { matchLook: 700, duringLook: 'skip-and-flip' } }).cost.leastTime).toBe(0)
})
test('the highest score is a streak without a miss, all of it luck, with what a win adds', () => {
  // 100, 150, 200, 250, 300 and then three times 300; 8 × 10 for luck; 3 for each life of 2
  const { cost } = levelOf({ score: { lucky: 10, perLifeLeft: 3 }, limits: { lives: 2 } })
  expect(cost.highestScore).toBe(100 + 150 + 200 + 250 + 4 * 300 + 80 + 6)
})
test('a perfect memory lands near par, no memory near n²', () => {
  const { perfect, none } = levelOf({ clock: { mode: 'down', limit: 1000 } }).cost
  expect(Math.abs(perfect!.turns - par(PAIRS).turns)).toBeLessThan(0.6)
  expect(Math.abs(none.turns - PAIRS ** 2)).toBeLessThan(14)
  expect(none.time).toBeGreaterThan(perfect!.time)
})
test('where pairs are repeated there is no perfect memory to compare with', () => {
  const settings = settingsWith({ board: { rows: 2, columns: 4 }, fill: { repeat: 'evenly' } })
  const dealer = prepareDeal(pairsNamed(2), settings)
  expect(dealer.ok && costOf(settings, dealer.value).perfect).toBeNull()
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
