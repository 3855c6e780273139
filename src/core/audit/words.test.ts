import { describe, expect, test } from '@jest/globals'
import type { Report } from './report.ts'
import { verdictWords } from './words.ts'

/** What is told of boards that look so odd. */
const told = (verdict: Report['verdict'], p: number): string =>
  verdictWords(
    { verdict, p, deals: 1000, untwinned: 0, repeats: { distinct: 900 } } as unknown as Report,
    'shuffled',
  )

describe('how rarely fair deals look so odd', () => {
  test.each([
    [1 / 49_394_573_433, 'less than once in 49,000,000,000 audits'],
    [1 / 100_001, 'less than once in 100,000 audits'],
    [1e-13, 'less than once in a million million audits'],
  ])('%d', (p, words) => expect(told('unfair', p)).toContain(words))
  test('where it may be chance', () =>
    expect(told('doubtful', 1 / 1234)).toBe(
      'Fair deals look as odd as this only once in about 1,200 audits. Deal more to be sure.',
    ))
  test('never rarer than it is', () => {
    for (let count = 1000; count < 1e12; count *= 1.37) {
      const said = Number(/once in ([\d,]+)/.exec(told('unfair', 1 / count))![1]!.replaceAll(',', ''))
      expect(said).toBeLessThanOrEqual(count * (1 + 1e-9))
      expect(said).toBeGreaterThan(count * 0.9)
    }
  })
})
