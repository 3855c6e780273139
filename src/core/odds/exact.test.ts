import { describe, expect, test } from '@jest/globals'
import type { Own } from '../settings/levels.ts'
import type { Mind } from '../settings/mind.ts'
import { countBounds, testSeed } from '../testing/chance.ts'
import { levelOf, mindWith } from '../testing/levels.ts'
import { blindMisses, exactOf, exactTurns, exactWins } from './exact.ts'
import { playGames } from './games.ts'
import { oddsOf } from './odds-of.ts'
import { par } from './par.ts'

const NONE = mindWith({ notice: 0 })
const SURE = mindWith({})
function exactFor(pairs: number, mind: Mind, own: Own = {}) {
  const level = levelOf(pairs, own)
  const exact = exactOf(level, mind, level.dealer.deal('one'))
  return exact && { turns: exactTurns(exact), wins: exactWins(exact, level.settings), ...exact }
}

describe('no memory', () => {
  test.each([1, 2, 3, 8, 18, 200])(
    'of %i pairs needs n² turns on average, and its chances add up to 1',
    (pairs) => {
      const exact = exactFor(pairs, NONE)!
      expect(exact.misses.reduce((sum, chance) => sum + chance, 0)).toBeCloseTo(1, 9)
      expect(exact.turns / pairs ** 2).toBeCloseTo(1, 7)
    },
  )
  test('of two pairs misses so often, by hand', () => {
    // with two pairs left one of three presses matches, with one every press
    const misses = blindMisses(2)
    for (const count of [0, 1, 2, 7]) expect(misses[count]).toBeCloseTo((1 / 3) * (2 / 3) ** count, 12)
  })
  // 3,000 games: of 60 lengths each keeps within bounds that chance leaves once in a million; a length that is a third
  // too frequent is seen
  test('has the exact distribution of turns', () => {
    const [pairs, games] = [4, 3000]
    const { histogram } = oddsOf(playGames(levelOf(pairs), NONE, testSeed('blind'), 1, games))
    const [chances, counts] = [blindMisses(pairs).slice(0, 60), histogram.slice(pairs, pairs + 60)]
    chances.forEach((chance, misses) => {
      const [fewest, most] = countBounds(games, chance)
      const count = counts[misses] ?? 0
      expect([misses, count, fewest <= count && count <= most]).toEqual([misses, count, true])
    })
    // a shift by one turn moves no single length far, but the mean: the sum of all lengths up to the median
    const half = chances.findIndex((_, i) => chances.slice(0, i + 1).reduce((a, b) => a + b, 0) > 0.5)
    const share = chances.slice(0, half).reduce((a, b) => a + b, 0)
    const shorter = counts.slice(0, half).reduce((a, b) => a + b, 0)
    const [fewest, most] = countBounds(games, share)
    expect(shorter).toBeGreaterThanOrEqual(fewest)
    expect(shorter).toBeLessThanOrEqual(most)
  })
})

// 3,000 games: a share that is wrong by 0.07 is seen 99 times of 100
describe('what is known exactly', () => {
  test('is par for a perfect memory', () => expect(exactFor(8, SURE)!.turns).toBeCloseTo(par(8).turns, 9))
  test('is nothing where a pair may come again, even if it does not in the deal that is looked at', () => {
    const own: Own = { fill: { repeat: 'with-replacement' } }
    const cells = levelOf(4).dealer.deal('one')
    for (const mind of [SURE, NONE]) expect(exactOf(levelOf(4, own), mind, cells)).toBeNull()
  })
  test.each<[string, Mind, Own]>([
    ['a perfect memory under turns', SURE, { limits: { turns: 9 } }],
    ['a perfect memory with lives', SURE, { limits: { lives: 4 } }],
    ['a perfect memory whose lives only slips cost', SURE, { limits: { lives: 1, livesLostOn: 'slip' } }],
    ['a perfect memory under both', SURE, { limits: { lives: 4, turns: 9 } }],
    ['no memory under turns', NONE, { limits: { turns: 30 } }],
    ['no memory with lives', NONE, { limits: { lives: 12 } }],
  ])('is the share that wins: %s', (_name, mind, own) => {
    const { won, games } = oddsOf(playGames(levelOf(6, own), mind, testSeed('share'), 1, 3000))
    const { wins } = exactFor(6, mind, own)!
    const [fewest, most] = countBounds(games, wins!)
    expect(won).toBeGreaterThanOrEqual(fewest)
    expect(won).toBeLessThanOrEqual(most)
  })
  test.each<[string, Mind, Own]>([
    ['a memory that holds as many as there are', mindWith({ hold: 12 }), {}],
    ['one that notices nothing, whatever it would hold', mindWith({ notice: 0, hold: 3, blur: 1 }), {}],
    ['one that holds nothing', mindWith({ hold: 0 }), {}],
    ['one that forgets all each turn', mindWith({ fade: 1 }), {}],
    ['a perfect one that has no time to look', mindWith({ glance: 500 }), { turn: { firstLook: 400 } }],
  ])('is known of %s', (_name, mind, own) => expect(exactFor(6, mind, own)).not.toBeNull())
  test.each<[string, Mind, Own]>([
    ['a memory that holds less', mindWith({ hold: 11 }), {}],
    ['one that looks at the first look', mindWith({ glance: 100 }), { turn: { firstLook: 400 } }],
    [
      'one that forgets all but begins with what it saw',
      mindWith({ fade: 1, glance: 100 }),
      { turn: { firstLook: 400 } },
    ],
    ['a perfect one where twins lie apart', SURE, { deal: { way: 'apart', steps: 2 } }],
    ['one that presses beside', mindWith({ blur: 0.1 }), {}],
    ['none where pairs are repeated', NONE, { board: { rows: 2, columns: 8 }, fill: { repeat: 'evenly' } }],
  ])('is not known of %s', (_name, mind, own) => expect(exactFor(6, mind, own)).toBeNull())
  test('leaves out what a clock ends, and lives that no memory loses by slips', () => {
    expect(exactFor(6, SURE, { clock: { mode: 'down', limit: 60_000 } })!.wins).toBeNull()
    expect(exactFor(6, NONE, { limits: { lives: 3, livesLostOn: 'slip' } })!.wins).toBeNull()
  })
})
