import { describe, expect, test } from '@jest/globals'
import { gameWith, pairsNamed } from '../testing/games.ts'
import { whereText, type Finding } from './finding.ts'
import { findingsOf, houseFindings, levelFindings, unusedPairs } from './findings.ts'
import { lookAlikeFindings, type Alike } from './look-alikes.ts'
import { mendsOf } from './mends.ts'
import { findingLine, findingWords } from './words.ts'
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
  findingsOf(game).flatMap(({ code, values }) => (code === 'steps-unreachable' ? [values.steps] : []))

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
    const places = (one: Game, at: number): string[] =>
      levelFindings(one, last, at).map(({ where }) => whereText(where))
    expect(places(game, 2)).toEqual(['levels[2].board', 'levels[2].deal.steps'])
    expect(places({ ...game, levels: [last] }, 0)).toEqual(['levels[0].board', 'levels[0].deal.steps'])
  })
  test('of counts that do not add up offer counts that do, near those that were set', () => {
    const fitted = (counts: Record<string, number>): unknown => {
      const fill = { repeat: 'counts' as const, counts }
      const game = gameWith({ board: { rows: 2, columns: 5 }, fill }, pairsNamed(3))
      const finding = findingsOf(game).find(({ code }) => code === 'counts-sum')!
      const [mend] = mendsOf(game, finding)
      expect(mend!.label).toBe('Counts for 5 pairs')
      const mended = mend!.to(game)
      expect(findingsOf(mended).map(({ code }) => code)).not.toContain('counts-sum')
      return mended.levels[0]!.fill!.counts
    }
    expect(fitted({ p0: 2, p2: 1 })).toEqual({ p0: 3, p2: 2 })
    expect(fitted({ p0: 9, p1: 6 })).toEqual({ p0: 3, p1: 2 })
    expect(fitted({})).toEqual({ p0: 2, p1: 2, p2: 1 })
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
  test('of a board with too few pairs offer the whole deck only where a level uses a part of it', () => {
    const labels = (use: 'all' | { from: number; to: number }): string[] => {
      const game = gameWith({ board: { rows: 4, columns: 4 }, fill: { use } }, pairsNamed(6))
      const few = findingsOf(game).find(({ code }) => code === 'too-few-pairs')!
      return mendsOf(game, few).map(({ label }) => label)
    }
    expect(labels('all')).toEqual(['Repeat pairs evenly', 'A board for 6 pairs: 3 × 4'])
    expect(labels({ from: 1, to: 3 })).toContain('Use the whole deck')
  })
  test('of pairs that no level uses are mended in a level that uses a part, never in one that draws from the whole deck', () => {
    const whole = gameWith({ board: { rows: 2, columns: 2 }, fill: { pick: 'first' } }, pairsNamed(4))
    const labels = (game: Game): string[] => {
      const unused = findingsOf(game).find(({ code }) => code === 'unused-pairs')!
      return mendsOf(game, unused).map(({ label }) => label)
    }
    expect(labels(whole)).toEqual(['Remove these 2 pairs'])
    const part = {
      id: 'part',
      name: 'Part',
      board: { rows: 1, columns: 2 },
      fill: { use: { pairs: ['p0'] } },
    }
    const first = { ...part, id: 'first-ones', name: 'First ones', fill: { use: { from: 1, to: 2 } } }
    const both = { ...whole, levels: [first, part, whole.levels[0]!] }
    expect(labels(both)[0]).toBe('Let "Part" use the whole deck')
    const nested = { ...whole, levels: [part, first, whole.levels[0]!] }
    const [mend] = mendsOf(
      nested,
      findingsOf(nested).find(({ code }) => code === 'unused-pairs')!,
    )
    expect(mend!.label).toBe('Let "First ones" use the first 4')
    const mended = mend!.to(nested)
    expect(unusedPairs(mended)).toEqual([])
    expect(mended.levels[1]!.fill).toEqual({ use: { from: 1, to: 4 }, pick: 'random' })
    expect([mended.levels[0], mended.levels[2]]).toEqual([part, whole.levels[0]])
  })
})

test('of many levels that cannot be dealt the first ones say how many steps can be had', () => {
  const steps = stepsOf(tooFar(9))
  expect(steps).toHaveLength(9)
  expect(steps.slice(0, 5).every((one) => one === 2)).toBe(true)
  expect(steps.slice(5)).toEqual([undefined, undefined, undefined, undefined])
})

describe('what a finding says', () => {
  const [finding] = findingsOf(gameWith({ limits: { turns: 7 } }, pairsNamed(8))) as [Finding]
  test('names the level among those of a whole game', () => {
    expect(findingLine(finding, [{ name: 'Warm up' }])).toBe(
      'Warm up cannot be won: 8 pairs cannot be found in 7 turns',
    )
    expect(findingWords(finding)).toBe('this level cannot be won: 8 pairs cannot be found in 7 turns')
    const [odd] = findingsOf(gameWith({ board: { rows: 3, columns: 3 } }, pairsNamed(8))) as [Finding]
    expect(findingLine(odd, [{ name: 'Warm up' }])).toBe(
      'Warm up: cards come in pairs, and the board has room for 9',
    )
    expect(findingWords(odd)).toBe('cards come in pairs, and the board has room for 9')
  })
  test('of the house rules stands at the house', () => {
    const game = gameWith()
    game.house = { ...game.house, board: { rows: 3, columns: 3, gaps: [] } }
    const [odd] = houseFindings(game) as [Finding]
    expect(odd.where).toEqual({ level: null, section: 'board', key: '' })
    expect(whereText(odd.where)).toBe('board')
  })
})

describe('faces that look alike', () => {
  const game = gameWith({}, pairsNamed(4))
  const told = (alike: Alike[]): string[] => lookAlikeFindings(game, alike).map((one) => findingWords(one))
  test('are told by the likest two, and how many more', () => {
    expect(told([])).toEqual([])
    expect(told([{ one: 'p0', other: 'p2' }])).toEqual(['Pair 0 and Pair 2 look alike'])
    expect(
      told([
        { one: 'p1', other: 'p3' },
        { one: 'p0', other: 'p2' },
      ]),
    ).toEqual(['Pair 1 and Pair 3 look alike, and 1 more such pairs'])
  })
  test('of the back and of pairs that are gone are told apart', () => {
    expect(
      told([
        { one: null, other: 'p3' },
        { one: 'p0', other: 'gone' },
      ]),
    ).toEqual(['the back could be taken for Pair 3'])
    expect(told([{ one: null, other: 'gone' }])).toEqual([])
  })
  test('are mended by taking one away, and a back by another', () => {
    const [alike, back] = lookAlikeFindings(game, [
      { one: 'p0', other: 'p2' },
      { one: null, other: 'p1' },
    ])
    const [remove] = mendsOf(game, alike!)
    expect(remove!.label).toBe('Remove Pair 2')
    expect(remove!.to(game).deck.pairs.map(({ id }) => id)).toEqual(['p0', 'p1', 'p3'])
    const [other] = mendsOf(game, back!)
    expect(other!.to(game).deck.back).not.toEqual(game.deck.back)
    expect(other!.to(game).deck.pairs).toBe(game.deck.pairs)
  })
})
