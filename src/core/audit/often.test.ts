import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { pairOf } from '../deck/card.ts'
import { prepareDeal } from '../deal/deal.ts'
import { pairsNamed, settingsWith } from '../testing/games.ts'
import { oftenOf, oftenWords } from './often.ts'
import { Counter } from './tally.ts'

const NAMES = ['Cog', 'Bell', 'Loupe', 'Key', 'Chain']

describe('how often pairs come', () => {
  test('is what was dealt', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5 }), fc.integer({ min: 1, max: 20 }), (count, boards) => {
        const board = { rows: 3, columns: 4, gaps: [] }
        const dealer = prepareDeal(pairsNamed(count), settingsWith({ board, fill: { repeat: 'at-random' } }))
        if (!dealer.ok) throw new Error(dealer.problem.message)
        const counter = new Counter(board, count, boards)
        const seen = new Array<number>(count).fill(0)
        for (let i = 0; i < boards; i++) {
          const cells = dealer.value.deal(`seed-${i}`)
          counter.add(cells)
          for (const card of cells) seen[pairOf(card)]!++
        }
        const often = oftenOf(counter.tally)
        expect(often.map(({ pair, cards }) => [pair, Math.round(cards * boards)])).toEqual(
          seen
            .map((cards, pair) => [pair, cards] as const)
            .filter(([, cards]) => cards)
            .sort((one, other) => other[1] - one[1] || one[0] - other[0]),
        )
      }),
    )
  })

  test.each([
    [[2, 2, 2], 'Each of the 3 pairs has 2 cards a board.'],
    [[4, 6, 2], 'Most often: Bell, 6 cards a board; least often: Loupe, 2.'],
    [[4, 4, 1.5], 'Most often: Cog and Bell, 4 cards a board; least often: Loupe, 1.5.'],
    [[6, 2, 2, 2, 2], 'Most often: Cog, 6 cards a board; least often: Bell, Loupe, Key and 1 more, 2.'],
    [[], ''],
  ])('%j is told as %s', (cards, told) => {
    const often = cards.map((count, pair) => ({ pair, cards: count }))
    expect(
      oftenWords(
        often.sort((one, other) => other.cards - one.cards),
        NAMES,
      ),
    ).toBe(told)
  })
})
