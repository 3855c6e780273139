import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { BOUNDS } from '../settings/bounds.ts'
import { mindWith } from '../testing/levels.ts'
import type { MindStreams } from './chance.ts'
import { MindPlayer } from './player-mind.ts'
import { QuickMind } from './quick-mind.ts'

/** Streams that give these numbers in turn. */
function streamsOf(numbers: readonly number[]): MindStreams {
  let at = 0
  const stream = { next: () => numbers[at++]! | 0 }
  return { choosing: stream, remembering: stream, pacing: stream }
}

const [least, most] = BOUNDS.thought
const MIDDLE_ENDS = [0.075, 0.925].map((share) => Math.round(share * 2 ** 32))

test('times that are looked up are those of any mind, whatever is drawn, the first time and again', () =>
  fc.assert(
    fc.property(
      fc.integer({ min: least, max: most }),
      fc.oneof(
        fc.constantFrom(0, 0.4, BOUNDS.spread[1]),
        fc.double({ min: 0, max: BOUNDS.spread[1], noNaN: true }),
      ),
      fc.array(
        fc.oneof(
          fc.nat(2 ** 32 - 1),
          // the ends of a part, and where one formula follows another
          fc.nat(2 ** 14 - 1).map((part) => part * 2 ** 18),
          fc.nat(2 ** 14 - 1).map((part) => part * 2 ** 18 + 2 ** 18 - 1),
          fc
            .tuple(fc.constantFrom(...MIDDLE_ENDS), fc.integer({ min: -100, max: 100 }))
            .map(([end, off]) => end + off),
        ),
        { minLength: 1, maxLength: 50 },
      ),
      (median, spread, drawn) => {
        const mind = mindWith({}, { first: median, second: least + most - median, spread })
        const numbers = [...drawn, ...drawn]
        const [any, quick] = [MindPlayer, QuickMind].map(
          (one) => new one(mind, [0, 0], 2, streamsOf(numbers)),
        )
        for (let i = 0; i < numbers.length; i++) {
          const card = i % 3 === 0 ? 'second' : 'first'
          expect(quick!.thought(card)).toBe(any!.thought(card))
        }
      },
    ),
    { numRuns: 300 },
  ))
