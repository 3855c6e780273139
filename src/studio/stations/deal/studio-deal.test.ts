import { describe, expect, test } from '@jest/globals'
import { findingsOf, houseFindings } from '../../../core/findings/findings.ts'
import type { Own } from '../../../core/settings/levels.ts'
import type { Pair } from '../../../core/deck/pair.ts'
import { gameWith, pairsNamed } from '../../../core/testing/games.ts'
import { mendsOf } from '../../../core/findings/mends.ts'
import { bigNumber } from './big-number.ts'

test.each([
  [0, '1'],
  [Math.log(24310), '24,310'],
  [Math.log(999_999), '999,999'],
  [Math.log(1e6), '1.00 × 10⁶'],
  [20 * Math.LN10 + Math.log(9.124), '9.12 × 10²⁰'],
  [20 * Math.LN10 + Math.log(9.996), '1.00 × 10²¹'],
])('e to the %d is written %s', (log, words) => expect(bigNumber(log)).toBe(words))

describe('every mend takes its finding away', () => {
  const image = (pairs: Pair[]): Pair[] => {
    pairs[0]!.a = { kind: 'image', src: 'data:' }
    return pairs
  }
  test.each<[string, Own, Pair[]?]>([
    ['odd-board', { board: { rows: 3, columns: 3 } }],
    ['odd-board', { board: { rows: 3, columns: 4, gaps: ['A1'] } }],
    ['too-few-cards', { board: { rows: 1, columns: 2, gaps: ['A1', 'B1'] } }],
    ['too-few-pairs', { board: { rows: 5, columns: 6 }, fill: { use: { from: 1, to: 3 } } }],
    ['no-pairs', { fill: { use: { tags: ['gone'] } } }],
    ['steps-unreachable', { deal: { way: 'apart', steps: 7 } }],
    [
      'steps-unreachable',
      { board: { rows: 1, columns: 6, gaps: ['B1', 'C1'] }, deal: { way: 'close', steps: 1 } },
    ],
    ['steps-by-chance', { fill: { repeat: 'at-random' }, deal: { way: 'apart' } }, pairsNamed(4)],
    ['arranged-wrong', { deal: { way: 'arranged', arranged: ['p0/a'] } }],
    ['gap-outside', { board: { rows: 2, columns: 2, gaps: ['Z9'] } }],
    ['unknown-tag', { fill: { use: { tags: ['gone'] }, repeat: 'evenly' } }],
    ['tiny-cards', { board: { rows: 8, columns: 8 }, fill: { repeat: 'evenly' } }],
    ['unused-pairs', { board: { rows: 2, columns: 2 }, fill: { use: { from: 1, to: 2 } } }],
    ['missing-alt', {}, image(pairsNamed(18))],
    ['flip-beyond-look', { look: { flipTime: 1200 }, turn: { firstLook: 900, missLook: 1100 } }],
    ['cannot-be-won', { limits: { turns: 7 } }],
    ['cannot-be-won', { clock: { mode: 'down', limit: 1000 }, turn: { firstLook: 3000 } }],
  ])('%s', (code, own, ...[pairs]) => {
    const game = gameWith(own, pairs)
    const finding = findingsOf(game).find((one) => one.code === code)!
    const mends = mendsOf(game, finding)
    expect(mends.length).toBeGreaterThan(0)
    for (const mend of mends)
      expect({
        mend: mend.label,
        left: findingsOf(mend.to(game)).filter((one) => one.code === code),
      }).toEqual({
        mend: mend.label,
        left: [],
      })
  })
  test('at the house rules a mend changes the house', () => {
    const game = { ...gameWith(), house: { ...gameWith().house, board: { rows: 3, columns: 3, gaps: [] } } }
    const finding = houseFindings(game).find(({ code }) => code === 'odd-board')!
    const [mend] = mendsOf(game, finding)
    expect(mend!.to(game).house.board.gaps).toEqual(['B2'])
    expect(mend!.to(game).levels).toEqual(game.levels)
  })
})
