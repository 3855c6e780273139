import { describe, expect, test } from '@jest/globals'
import { settingsSchema } from '../../../core/game/schema.ts'
import { DEFAULTS, SECTIONS } from '../../../core/settings/settings.ts'
import { SETTING_WORDS, settingWords, valueWords } from './setting-words.ts'

const keys = SECTIONS.flatMap((section) => Object.keys(DEFAULTS[section]).map((key) => `${section}.${key}`))

describe('settings in words', () => {
  test('each has words of its own', () => {
    expect(Object.keys(SETTING_WORDS).sort()).toEqual([...keys].sort())
    const labels = Object.values(SETTING_WORDS).map(({ label }) => label)
    expect(new Set(labels).size).toBe(labels.length)
  })
  test.each(Object.entries(SETTING_WORDS))('%s offers only what the schema takes', (key, words) => {
    const [section, name] = key.split('.') as ['turn', 'onMiss']
    const takes = (value: unknown): boolean =>
      settingsSchema.safeParse({ ...DEFAULTS, [section]: { ...DEFAULTS[section], [name]: value } }).success
    for (const [value] of words.choices ?? [])
      expect(takes(value === 'true' ? true : value === 'false' ? false : value)).toBe(true)
    for (const value of words.bounds ?? []) expect(takes(value)).toBe(true)
    if (words.bounds) expect(takes(words.bounds[1] + 1)).toBe(false)
    expect(settingWords(section, name)).toBe(words)
  })
  test.each<[string, unknown, string]>([
    ['turn.missLook', 900, '0.9 s'],
    ['clock.limit', 90_000, '1:30'],
    ['limits.lives', null, 'none'],
    ['clock.lookStopsClock', true, 'stands still'],
    ['board.gaps', [], 'none'],
    ['board.gaps', ['C3', 'D3'], 'C3, D3'],
    ['deal.way', 'in-order', 'in order'],
    ['deal.arranged', ['cog/a'], 'own places'],
    ['deal.seed', { fixed: 'tick' }, 'always "tick"'],
    ['layout.ratio', 1, 'square'],
    ['layout.ratio', 1.5, '1.5'],
    ['fill.use', 'all', 'all'],
    ['fill.use', { tags: ['metal', 'glass'] }, 'pairs tagged metal, glass'],
    ['fill.use', { pairs: ['a', 'b'] }, '2 chosen pairs'],
    ['fill.use', { from: 3, to: 9 }, 'pairs 3 to 9'],
    ['score.stars', { by: 'time', at: [90_000, 60_000, 30_000] }, 'by time: 1:30, 1:00, 0:30'],
    ['look.behind', { kind: 'image', src: 'data:image/png;base64,AAAA', alt: 'A bridge' }, 'A bridge'],
    ['look.behind', { kind: 'image', src: 'data:image/png;base64,AAAA' }, 'an image'],
  ])('%s as %j is told as %s', (key, value, told) => {
    expect(valueWords(key, value)).toBe(told)
  })
})
