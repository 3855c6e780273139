import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cardName } from '../deck/card-name.ts'
import { NO_CARD } from '../deck/card.ts'
import { prepareDeal } from '../deal/deal.ts'
import { pairsNamed, settingsWith } from '../testing/games.ts'
import { readBoards } from './boards-file.ts'
import { readDeals } from './deal-file.ts'
import { dealtText, seedsFrom } from './dealt-file.ts'

const pairs = pairsNamed(6, (i) => i % 2 === 1)
const level = { id: 'first', name: 'First' }
const settings = settingsWith({ board: { rows: 3, columns: 4, gaps: ['B2', 'C2'] } })

describe('deals handed on', () => {
  const dealer = prepareDeal(pairs, settings)
  if (!dealer.ok) throw new Error(dealer.problem.message)
  const deals = (seed: string, count: number, format: 'json' | 'csv' | 'grid'): string =>
    seedsFrom(seed, count)
      .map((one) => dealtText({ deck: { pairs } }, level, dealer.value, one, format))
      .join('')

  test('as lines of JSON are read again as they were dealt', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 9 }), fc.stringMatching(/^[a-z]{1,8}$/), (count, seed) => {
        const read = readDeals(deals(seed, count, 'json'), pairs)
        if (!read.ok) throw new Error(read.problem.message)
        expect(read.value.map(({ seed: one, cells }) => [one, cells])).toEqual(
          seedsFrom(seed, count).map((one) => [one, dealer.value.deal(one)]),
        )
      }),
    )
  })

  test('as CSV are the boards that the audit reads, gaps and all', () => {
    const read = readBoards(deals('tick', 4, 'csv'), { rows: 3, columns: 4 })
    if (!read.ok) throw new Error(read.problem.message)
    expect(read.value).toMatchObject({ format: 'csv', board: { gaps: ['B2', 'C2'] }, leftOut: 0 })
    const rows = deals('tick', 4, 'csv').trimEnd().split('\r\n')
    expect(rows).toEqual(
      seedsFrom('tick', 4).map((seed) =>
        dealer.value
          .deal(seed)
          .map((card) => (card === NO_CARD ? '' : cardName(card, pairs)))
          .join(),
      ),
    )
  })

  test('as a grid name level and seed, and every row', () => {
    expect(deals('tick', 1, 'grid').split('\n')[0]).toBe('First, seed tick')
    expect(deals('tick', 2, 'grid').match(/^ 3 {2}/gm)).toHaveLength(2)
  })
})
