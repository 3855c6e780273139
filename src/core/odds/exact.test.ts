import { describe, expect, test } from '@jest/globals'
import type { Own } from '../settings/levels.ts'
import type { Mind } from '../settings/mind.ts'
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
  test('has the exact distribution of turns', () => {
    const [pairs, games] = [4, 20_000]
    const { histogram } = oddsOf(playGames(levelOf(pairs), NONE, 'blind', 1, games))
    let [statistic, degrees, rest, seenRest] = [0, 0, 1, games]
    blindMisses(pairs).forEach((chance, misses) => {
      if (chance * games < 20 || misses > 60) return
      const seen = histogram[pairs + misses] ?? 0
      statistic += (seen - chance * games) ** 2 / (chance * games)
      degrees++
      rest -= chance
      seenRest -= seen
    })
    statistic += (seenRest - rest * games) ** 2 / (rest * games)
    expect(degrees).toBeGreaterThan(30)
    expect((statistic - degrees) / Math.sqrt(2 * degrees)).toBeLessThan(4)
  })
})

describe('what is known exactly', () => {
  test('is par for a perfect memory', () => expect(exactFor(8, SURE)!.turns).toBeCloseTo(par(8).turns, 9))
  test.each<[string, Mind, Own]>([
    ['a perfect memory under turns', SURE, { limits: { turns: 9 } }],
    ['a perfect memory with lives', SURE, { limits: { lives: 4 } }],
    ['a perfect memory whose lives only slips cost', SURE, { limits: { lives: 1, livesLostOn: 'slip' } }],
    ['a perfect memory under both', SURE, { limits: { lives: 4, turns: 9 } }],
    ['no memory under turns', NONE, { limits: { turns: 30 } }],
    ['no memory with lives', NONE, { limits: { lives: 12 } }],
  ])('is the share that wins: %s', (_name, mind, own) => {
    const { won, games } = oddsOf(playGames(levelOf(6, own), mind, 'share', 1, 20_000))
    const { wins } = exactFor(6, mind, own)!
    const error = Math.sqrt((wins! * (1 - wins!)) / games)
    expect(Math.abs(won / games - wins!)).toBeLessThanOrEqual(4 * error)
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
