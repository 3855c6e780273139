import { describe, expect, test } from '@jest/globals'
import { pictureTitle, pictureWords } from './picture-words.ts'

describe('names of library pictures', () => {
  test.each([
    ['hourglass-not-done', 'Hourglass'],
    ['old-key', 'Old key'],
    ['peace-symbol', 'Peace'],
    ['a-button-blood-type', 'A button'],
    ['waving-hand-medium-light', 'Waving hand'],
    ['waving-hand-dark', 'Waving hand'],
    ['vertical-traffic-light', 'Vertical traffic light'],
    ['police-car-light', 'Police car light'],
    ['light-bulb', 'Light bulb'],
  ])('%s shows: %s', (name, shown) => expect(pictureTitle(name)).toBe(shown))
  test('are searched in by all of their words', () => {
    expect(pictureWords('hourglass-not-done')).toBe('hourglass not done')
  })
})
