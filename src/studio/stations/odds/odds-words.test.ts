import { describe, expect, test } from '@jest/globals'
import { READY_MINDS } from '../../../core/settings/mind.ts'
import { memoryWords, lostWords, numberOf, stepWords } from './odds-words.ts'
import { leverWords, ofHundred } from '../../parts/settings/lever-words.ts'

describe('odds in words', () => {
  test('wins of 100 never say all or nothing where it was not', () => {
    expect(ofHundred(50, 100)).toEqual({ wins: '50', about: '40 to 60' })
    expect(ofHundred(999, 1000).wins).toBe('> 99')
    expect(ofHundred(1, 1000).wins).toBe('< 1')
    expect([ofHundred(0, 9).wins, ofHundred(9, 9).wins]).toEqual(['0', '100'])
  })
  test('what was lost is said with the most frequent first, and nothing where nothing was', () => {
    const odds = (won: number, clock: number, lives: number) =>
      ({ games: 100, won, lostBy: { clock, lives, turns: 0 } }) as Parameters<typeof lostWords>[0]
    expect(lostWords(odds(70, 10, 20))).toBe('lost: lives 20, clock 10')
    const turns = { games: 100, won: 60, lostBy: { clock: 0, lives: 0, turns: 40 } } as Parameters<
      typeof lostWords
    >[0]
    expect(lostWords(turns)).toBe('lost: turns 40')
    expect(lostWords(odds(100, 0, 0))).toBe('')
    expect(lostWords(odds(90, 0, 4))).toBe('lost: without an end 6, lives 4')
  })
  test('values and steps are written as their rules are', () => {
    expect([numberOf('time', 90_400), numberOf('turns', 12.4), numberOf('score', 1234)]).toEqual([
      '1:30',
      '12',
      '1,234',
    ])
    expect([leverWords('clock', 178_000), leverWords('lives', 3), leverWords('miss-look', 700)]).toEqual([
      '2:58',
      '3',
      '0.7 s',
    ])
    expect(stepWords({ section: 'clock', key: 'limit', by: 5000 })).toBe('5 s more on the clock')
    expect(stepWords({ section: 'limits', key: 'lives', by: 1 })).toBe('1 life more')
    expect(stepWords({ section: 'turn', key: 'missLook', by: 500 })).toBe('0.5 s longer look at a miss')
  })
  test('each memory has a few words', () =>
    expect(READY_MINDS.map(({ memory }) => memoryWords(memory))).toEqual([
      'forgets nothing',
      'holds 12 cards, loses 2 % a turn',
      'holds 7 cards, loses 4 % a turn',
      'holds 4 cards, loses 12 % a turn',
      'remembers nothing',
    ]))
})
