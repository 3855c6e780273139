import { expect, test } from '@jest/globals'
import { lotsOf } from './games.ts'

test.each([1, 49, 50, 51, 200, 201, 4000])(
  'lots of %i games are each of them once, in order, the first ones small',
  (games) => {
    const lots = lotsOf(games)
    expect(lots.flatMap(([from, to]) => Array.from({ length: to - from + 1 }, (_, i) => from + i))).toEqual(
      Array.from({ length: games }, (_, i) => i + 1),
    )
    expect(lots[0]![1]).toBeLessThanOrEqual(50)
  },
)
