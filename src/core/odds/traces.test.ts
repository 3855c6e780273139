import { expect, test } from '@jest/globals'
import { cardOf, NO_CARD } from '../deck/card.ts'
import { Traces } from './traces.ts'

/** Four cards of one pair, two of another that is related, and a gap. */
const [same, one, other] = [cardOf(0, 'a', false), cardOf(1, 'a', true), cardOf(1, 'b', true)]
const cells = [same, same, one, NO_CARD, other, same, same]
const held = (traces: Traces): number[] => traces.held()

test('traces stand in the order in which they were laid or refreshed', () => {
  const traces = new Traces(cells)
  expect([traces.count, traces.bareCount, traces.firstPair()]).toEqual([0, 6, null])
  for (const cell of [2, 0, 5]) traces.lay(cell)
  expect(held(traces)).toEqual([2, 0, 5])
  traces.lay(2)
  expect(held(traces)).toEqual([0, 5, 2])
  traces.lose(1)
  expect([held(traces), traces.count, traces.isBare(5), traces.isBare(0)]).toEqual([[0, 2], 2, true, false])
  traces.matched(0)
  expect([held(traces), traces.isBare(0), traces.bareCount]).toEqual([[2], false, 4])
})

test('the pair that was complete first is known first, its older trace first', () => {
  const traces = new Traces(cells)
  for (const cell of [2, 0, 1, 4]) traces.lay(cell)
  expect(traces.firstPair()).toEqual([0, 1])
  // refreshed, it is the younger of the two; the pair stays complete since then
  traces.lay(0)
  expect(traces.firstPair()).toEqual([1, 0])
  traces.lose(1)
  expect(traces.firstPair()).toEqual([2, 4])
  // laid again, its pair is the later one
  traces.lay(1)
  expect(traces.firstPair()).toEqual([2, 4])
  traces.matched(2)
  traces.matched(4)
  expect(traces.firstPair()).toEqual([0, 1])
})

test('of several pairs complete at once, that with the older trace; of several matches, the freshest', () => {
  const traces = new Traces(cells)
  for (const cell of [5, 6, 0]) traces.lay(cell)
  expect(traces.firstPair()).toEqual([5, 6])
  expect(traces.matching(1)).toBe(0)
  expect(traces.matching(0)).toBe(6)
  traces.matched(6)
  expect(traces.firstPair()).toEqual([5, 0])
  // a related card matches the other face alone
  expect(traces.matching(2)).toBe(-1)
  traces.lay(4)
  expect([traces.matching(2), traces.matching(4)]).toEqual([4, -1])
})
