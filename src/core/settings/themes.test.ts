import { expect, test } from '@jest/globals'
import { DEFAULTS } from './settings.ts'
import { LEAST_CONTRAST, tableContrast, THEMES } from './themes.ts'

test('there are at least five themes, all different, the first as a new game has it', () => {
  expect(THEMES.length).toBeGreaterThanOrEqual(5)
  expect(new Set(THEMES.map(({ name }) => name)).size).toBe(THEMES.length)
  expect(DEFAULTS.look).toMatchObject(THEMES[0]!.look)
})
test.each(THEMES)('$name: what is written on the table can be read', ({ look }) => {
  expect(tableContrast(look.table)).toBeGreaterThanOrEqual(LEAST_CONTRAST)
})
test('a light table fails', () => {
  expect(tableContrast('#c9b458')).toBeLessThan(LEAST_CONTRAST)
})
