import { expect, test } from '@jest/globals'
import { choiceIn, isBoolean, isOneOf, isShape, isText, isTextList, isTexts, isWithin } from './useChoice.ts'

test('a stored choice that is not what it is for counts as the fallback', () => {
  const shape = isShape<{ width: number; level: string | null }>({
    width: isWithin([32, 400]),
    level: (value) => value === null || isText(value),
  })
  const wrong: [string[], unknown, (value: unknown) => value is never][] = [
    [['null', '5', '{}', '[]', '"true"', 'yes', ''], true, isBoolean as never],
    [['null', '5', '{}', '[]', 'time', '"tim"'], 'time', isOneOf(['time', 'turns']) as never],
    [['null', '{}', '"7"', '0', '11', '2.5', 'NaN', '1e99'], 7, isWithin([1, 10]) as never],
    [['null', '5', '{}', '[5]', '"x"'], ['a'], isTextList as never],
    [['null', '5', '"x"', '{"a":5}'], {}, isTexts as never],
    [
      ['null', '5', '{}', '[]', '{"width":100}', '{"width":null,"level":null}', '{"width":5,"level":null}'],
      { width: 100, level: null },
      shape as never,
    ],
  ]
  for (const [texts, fallback, isValid] of wrong)
    for (const text of texts) expect(choiceIn(text, fallback as never, isValid)).toBe(fallback)
})

test('one that is, is taken', () => {
  expect(choiceIn('false', true, isBoolean)).toBe(false)
  expect(choiceIn('"turns"', 'time', isOneOf(['time', 'turns']))).toBe('turns')
  expect(choiceIn('10', 7, isWithin([1, 10]))).toBe(10)
  expect(choiceIn('["b"]', ['a'], isTextList)).toEqual(['b'])
  expect(choiceIn('{"a":"x"}', {}, isTexts)).toEqual({ a: 'x' })
})
