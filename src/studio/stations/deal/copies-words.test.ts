import { expect, test } from '@jest/globals'
import type { Copies } from '../../../core/deal/copies.ts'
import { copiesWords } from './copies-words.ts'

test('how often pairs appear is said by their way of repeating', () => {
  const evenly = (more: number, pick: 'random' | 'first') =>
    copiesWords({ how: 'evenly', each: 3, more, pick } as Copies, 5, 15 + more)
  expect(evenly(0, 'random')).toBe('Each of the 5 appears 6 times: 3 pairs.')
  expect(evenly(1, 'random')).toContain('1 of them, picked at random, have one more')
  expect(evenly(1, 'first')).toContain('the first one has one more')
  expect(evenly(2, 'first')).toContain('the first 2 have one more')
  const counted = (sum: number) => copiesWords({ how: 'counts', sum } as Copies, 5, 8)
  expect(counted(8)).toContain('as many as the board takes')
  expect(counted(6)).toContain('2 more are needed')
  expect(counted(11)).toContain('3 are too many')
})
