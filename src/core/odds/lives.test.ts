import { describe, expect, test } from '@jest/globals'
import { prepareDeal } from '../deal/deal.ts'
import { findingsOf } from '../findings/findings.ts'
import { findingWords } from '../findings/words.ts'
import type { Own } from '../settings/levels.ts'
import { gameWith, pairsNamed, settingsWith } from '../testing/games.ts'
import { livesNeeded } from './lives.ts'

const neededBy = (own: Own, pairs = 8) => {
  const settings = settingsWith({ board: { rows: 4, columns: 4 }, ...own })
  const dealer = prepareDeal(pairsNamed(pairs), settings)
  if (!dealer.ok) throw new Error(dealer.problem.message)
  return livesNeeded(settings, dealer.value)
}

/** The chance that `misses` or fewer happen, by playing through all orders of the cards of so many pairs. */
function shareByTrying(pairs: number, misses: number): number {
  let [within, all] = [0, 0]
  const play = (left: number[], known: Set<number>, missed: number, weight: number): void => {
    if (!left.length) {
      all += weight
      if (missed <= misses) within += weight
      return
    }
    left.forEach((first, i) => {
      const rest = left.filter((_, j) => j !== i)
      if (known.has(first)) {
        const fewer = new Set(known)
        fewer.delete(first)
        return play(rest, fewer, missed, weight / left.length)
      }
      rest.forEach((second, j) => {
        const after = rest.filter((_, k) => k !== j)
        const chance = weight / left.length / rest.length
        if (second === first) return play(after, known, missed, chance)
        const more = new Set(known).add(first)
        if (!more.delete(second)) more.add(second)
        play(after, more, missed + 1, chance)
      })
    })
  }
  play(
    Array.from({ length: pairs * 2 }, (_, i) => i >> 1),
    new Set(),
    0,
    1,
  )
  return within / all
}

describe('lives that a perfect memory needs', () => {
  test.each([1, 2, 3, 4])('are known exactly for different pairs: %i lives on 4 pairs', (lives) => {
    const needed = neededBy({ board: { rows: 2, columns: 4 }, limits: { lives: 3 } })!
    expect(needed.games).toBe(0)
    expect(needed.share(lives)).toBeCloseTo(shareByTrying(4, lives - 1), 9)
  })
  test('ten pairs need 7 lives for every second game', () => {
    const needed = neededBy({ board: { rows: 4, columns: 5 }, limits: { lives: 3 } }, 10)!
    expect(needed.fewest(0.5)).toBe(7)
    expect(needed.share(7)).toBeGreaterThanOrEqual(0.5)
    expect(needed.share(6)).toBeLessThan(0.5)
  })
  test('are one where only slips cost a life: it makes none', () => {
    const needed = neededBy({ limits: { lives: 3, livesLostOn: 'slip' } })!
    expect([needed.share(1), needed.fewest(0.9), needed.games]).toEqual([1, 1, 0])
  })
  test('are found by playing where pairs are repeated or cards do not lie by chance', () => {
    const one = neededBy({ limits: { lives: 3 }, fill: { repeat: 'evenly' } }, 1)!
    expect([one.share(1), one.fewest(0.5)]).toEqual([1, 1])
    expect(one.games).toBe(200)
    const inOrder = neededBy({ limits: { lives: 3 }, deal: { way: 'in-order' } })!
    const shuffled = neededBy({ limits: { lives: 3 } })!
    expect(inOrder.games).toBe(200)
    expect(Math.abs(inOrder.share(5) - shuffled.share(5))).toBeLessThan(3.3 * Math.sqrt(0.25 / 200))
  })
  test('are not asked for without lives', () => {
    expect(neededBy({})).toBeNull()
  })
})

test('a level that only luck can win is a finding, and one with lives for every second game is none', () => {
  const found = (lives: number) =>
    findingsOf(gameWith({ board: { rows: 4, columns: 4 }, limits: { lives } }, pairsNamed(8))).filter(
      ({ code }) => code === 'needs-luck',
    )
  expect(found(1)).toHaveLength(1)
  expect(findingWords(found(1)[0]!)).toBe(
    'only luck wins: 1 life is enough for a perfect memory in fewer than 1 of 20 games; 6 lives are in 9 of 10',
  )
  expect(found(5)).toEqual([])
})
