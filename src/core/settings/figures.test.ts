import { describe, expect, test } from '@jest/globals'
import { settingsWith } from '../testing/games.ts'
import { roomAround } from '../board/geometry.ts'
import { figuresOf } from './figures.ts'
import { FIGURES } from './settings.ts'

const two = { names: ['Ann', 'Ben'], matchGoesAgain: true }

describe('figures on the table', () => {
  test.each([
    ['no clock', {}, ['turns', 'score']],
    ['a clock that counts down', { clock: { mode: 'down' as const } }, ['time-left', 'turns', 'score']],
    ['a clock that counts up', { clock: { mode: 'up' as const } }, ['time-used', 'turns', 'score']],
    ['lives', { limits: { lives: 3 } }, ['turns', 'lives', 'score']],
    ['several players', { players: two }, ['turns']],
  ])('that the rules ask for: %s', (_what, own, told) => {
    expect(figuresOf(settingsWith(own))).toEqual(told)
  })
  test('as they were chosen, in their order, but for those that tell nothing', () => {
    const head = { figures: ['best', 'lives', 'time-left', 'flips'] as const }
    expect(figuresOf(settingsWith({ head: { figures: [...head.figures] } }))).toEqual(['best', 'flips'])
    const own = {
      head: { figures: [...head.figures] },
      limits: { lives: 2 },
      clock: { mode: 'down' as const },
    }
    expect(figuresOf(settingsWith(own))).toEqual(['best', 'lives', 'time-left', 'flips'])
    expect(figuresOf(settingsWith({ ...own, players: two }))).toEqual(['lives', 'time-left', 'flips'])
  })
  test('take a line more where they do not fit in one, and none where there are none', () => {
    const head = (figures: (typeof FIGURES)[number][]) =>
      roomAround(360, 640, settingsWith({ head: { figures } })).head
    expect(head(['turns', 'flips', 'score', 'streak'])).toBe(head(['turns']))
    expect(head(['turns', 'flips', 'score', 'streak', 'pairs-left']) - head(['turns'])).toBe(
      head(['turns']) - head([]),
    )
  })
})
