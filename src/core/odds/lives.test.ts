import { describe, expect, test } from '@jest/globals'
import { prepareDeal } from '../deal/deal.ts'
import { findingsOf } from '../game/findings.ts'
import type { Own } from '../game/game.ts'
import { gameWith, pairsNamed, settingsWith } from '../testing/games.ts'
import { livesForHalf, livesLast, livesNeeded, LIVES_GAMES } from './lives.ts'
import { par } from './par.ts'

const PAIRS = 8
const neededBy = (own: Own, pairs = PAIRS) => {
  const settings = settingsWith({ board: { rows: 4, columns: 4 }, ...own })
  const dealer = prepareDeal(pairsNamed(pairs), settings)
  if (!dealer.ok) throw new Error(dealer.problem.message)
  return livesNeeded(settings, dealer.value)
}

describe('lives that a perfect memory needs', () => {
  test('are one more than its misses, which are what par says beyond the pairs', () => {
    const needed = neededBy({ limits: { lives: 3 } })!
    expect(needed).toHaveLength(LIVES_GAMES.most)
    const mean = needed.reduce((sum, lives) => sum + lives, 0) / needed.length
    expect(Math.abs(mean - 1 - (par(PAIRS).turns - PAIRS))).toBeLessThan(0.6)
    expect(needed).toEqual([...needed].sort((a, b) => a - b))
    expect(livesLast(needed, needed.at(-1)!)).toBe(needed.length)
    expect(livesLast(needed, needed[0]! - 1)).toBe(0)
    expect(livesLast(needed, livesForHalf(needed))).toBeGreaterThanOrEqual(needed.length / 2)
    expect(livesLast(needed, livesForHalf(needed) - 1)).toBeLessThan(needed.length / 2)
  })
  test('are asked of fewer games on a board of many pairs', () => {
    expect(neededBy({ board: { rows: 20, columns: 20 }, limits: { lives: 3 } }, 200)).toHaveLength(
      LIVES_GAMES.fewest,
    )
  })
  test('are one where only slips cost a life: it makes none', () => {
    expect(new Set(neededBy({ limits: { lives: 3, livesLostOn: 'slip' } }))).toEqual(new Set([1]))
  })
  test('are not asked for without lives, or where pairs are repeated', () => {
    expect(neededBy({})).toBeNull()
    expect(neededBy({ limits: { lives: 3 }, fill: { repeat: 'evenly' } }, 4)).toBeNull()
  })
})

test('a level that only luck can win is a finding, and one life more than the fewest is none', () => {
  const needed = neededBy({ limits: { lives: 1 } })!
  const codes = (lives: number): string[] =>
    findingsOf(gameWith({ board: { rows: 4, columns: 4 }, limits: { lives } }, pairsNamed(PAIRS))).flatMap(
      ({ code }) => (code === 'needs-luck' ? [code] : []),
    )
  expect(codes(needed[0]! - 1)).toEqual(['needs-luck'])
  expect(codes(needed[0]!)).toEqual([])
})
