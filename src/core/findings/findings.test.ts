import { describe, expect, test } from '@jest/globals'
import { gameWith, pairsNamed } from '../testing/games.ts'
import { findingsOf, levelFindings, unusedPairs } from './findings.ts'
import type { Game } from '../game/game.ts'

/** Levels on which repeated pairs are asked to lie too far apart. */
const tooFar = (count: number): Game => {
  const game = gameWith({}, pairsNamed(4))
  game.levels = Array.from({ length: count }, (_, i) => ({
    id: `l${i}`,
    name: `Level ${i}`,
    board: { rows: 4, columns: 4 + 2 * (i % 3) },
    fill: { repeat: 'evenly' },
    deal: { way: 'apart', steps: 4 },
  }))
  return game
}
const stepsOf = (game: Game): (number | undefined)[] =>
  findingsOf(game).flatMap(({ code, steps }) => (code === 'steps-unreachable' ? [steps] : []))

describe('findings that are kept', () => {
  test('follow the level, the house rules and the deck', () => {
    const game = gameWith({ board: { rows: 3, columns: 3 } }, pairsNamed(8))
    const codes = (one: Game): string[] => findingsOf(one).map(({ code }) => code)
    expect(codes(game)).toContain('odd-board')
    expect(codes(game)).toEqual(codes(game))
    const level = { ...game.levels[0]!, board: { rows: 4, columns: 4 } }
    expect(codes({ ...game, levels: [level] })).toEqual([])
    expect(codes({ ...game, levels: [level], deck: { ...game.deck, pairs: pairsNamed(7) } })).toEqual([
      'too-few-pairs',
    ])
    const house = { ...game.house, limits: { ...game.house.limits, turns: 3 } }
    expect(codes({ ...game, levels: [level], house })).toEqual(['cannot-be-won'])
    expect(codes({ ...game, levels: [level] })).toEqual([])
  })
  test('are told by the place that a level has now', () => {
    const game = tooFar(3)
    const last = game.levels[2]!
    const places = (one: Game, at: number): string[] => levelFindings(one, last, at).map((found) => found.at)
    expect(places(game, 2)).toEqual(['levels[2].board', 'levels[2].deal.steps'])
    expect(places({ ...game, levels: [last] }, 0)).toEqual(['levels[0].board', 'levels[0].deal.steps'])
  })
  test('of pairs that no level uses follow the levels too', () => {
    const game = gameWith({ board: { rows: 2, columns: 2 }, fill: { pick: 'first' } }, pairsNamed(4))
    expect(unusedPairs(game)).toEqual([2, 3])
    const more = {
      id: 'more',
      name: 'More',
      board: { rows: 2, columns: 2 },
      fill: { use: { from: 3, to: 4 } },
    }
    expect(unusedPairs({ ...game, levels: [...game.levels, more] })).toEqual([])
    expect(unusedPairs(game)).toEqual([2, 3])
  })
})

test('of many levels that cannot be dealt the first ones say how many steps can be had', () => {
  const steps = stepsOf(tooFar(9))
  expect(steps).toHaveLength(9)
  expect(steps.slice(0, 5).every((one) => one === 2)).toBe(true)
  expect(steps.slice(5)).toEqual([undefined, undefined, undefined, undefined])
})
