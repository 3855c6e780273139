import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { fitText } from './fit-text.ts'

describe('text on a card', () => {
  test('one word stands in one line, many words are broken', () => {
    expect(fitText('K', 0.84).lines).toBe(1)
    expect(fitText('lets the wheel go tick by tick', 0.84).lines).toBeGreaterThan(2)
    expect(fitText('−\u00a0·\u00a0−\u00a0·', 0.84).lines).toBe(1)
  })
  test('no line is wider than the width that is given, however the words fall', () => {
    fc.assert(
      fc.property(
        fc.array(fc.stringMatching(/^[a-z]{1,12}$/), { minLength: 1, maxLength: 12 }),
        fc.constantFrom(0.84, 1, 1.25),
        (words, ratio) => {
          const { lines, width } = fitText(words.join(' '), ratio)
          expect(lines).toBeLessThanOrEqual(words.length)
          for (const word of words) expect(width).toBeGreaterThanOrEqual(fitText(word, ratio).width - 0.7)
        },
      ),
    )
  })
})
