import { expect, test } from '@jest/globals'
import { countWords } from './count-words.ts'

test.each([
  [0, '0 pairs'],
  [1, '1 pair'],
  [2, '2 pairs'],
  [1200, '1,200 pairs'],
])('%d is told as "%s"', (count, words) => expect(countWords(count, 'pair')).toBe(words))
test('what is called otherwise when there are several', () =>
  expect([1, 3].map((count) => countWords(count, 'life', 'lives'))).toEqual(['1 life', '3 lives']))
