import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { Own } from '../settings/levels.ts'
import { anySettings, cellsOf, pairsNamed, settingsWith } from '../testing/games.ts'
import { timeLeft } from './clock.ts'
import { replay } from './replay.ts'
import { resultOf } from './result.ts'
import { isOver, pairsLeft } from './round.ts'
import { newRound } from './new-round.ts'
import { missOnce, toLastPair, toLastSeconds } from './shortcuts.ts'

const roundOf = (own: Own) => {
  const settings = settingsWith({ board: { rows: 2, columns: 4 }, ...own })
  return newRound(settings, cellsOf(settings, pairsNamed(4)))
}

test('to the last pair: one pair is left, without a miss, by any rules that can be won', () => {
  fc.assert(
    fc.property(anySettings, (settings) => {
      const free = {
        ...settings,
        clock: { ...settings.clock, mode: 'up' as const },
        limits: { lives: null, livesLostOn: 'miss' as const, turns: null },
      }
      const cells = cellsOf(free, pairsNamed(10))
      const round = newRound(free, cells)
      const { inputs, at } = toLastPair(round)
      expect(pairsLeft(round)).toBe(Math.min(1, round.cards / 2))
      expect(round.misses).toBe(0)
      // what stands on the tape leads there again
      expect(resultOf(replay(free, cells, { inputs, until: at }))).toEqual(resultOf(round))
    }),
  )
})

test('with a card up, its own pair is taken on the way', () => {
  const round = roundOf({ deal: { way: 'in-order' } })
  replayInto(round, 6)
  toLastPair(round)
  expect(round.states.slice(6)).toEqual(['matched', 'matched'])
  expect(pairsLeft(round)).toBe(1)
})
function replayInto(round: ReturnType<typeof roundOf>, cell: number): void {
  round.states[cell] = 'up'
  round.flips++
  round.first = cell
  round.phase = 'one-up'
}

test.each<[string, Own]>([
  ['from the deal', { clock: { mode: 'down', limit: 60_000, startsAt: 'deal' } }],
  ['from the first flip', { clock: { mode: 'down', limit: 60_000 } }],
  [
    'after a first look',
    { clock: { mode: 'down', limit: 60_000, startsAt: 'deal' }, turn: { firstLook: 3000 } },
  ],
])('to the last seconds of a clock that starts %s', (_what, own) => {
  const round = roundOf(own)
  toLastSeconds(round, 5000)
  expect(timeLeft(round)).toBe(5000)
  expect(isOver(round)).toBe(false)
})
test('without a clock that counts down nothing passes', () => {
  const round = roundOf({ clock: { mode: 'up' } })
  expect(toLastSeconds(round, 5000)).toEqual({ inputs: [], at: 0 })
})

test('a miss costs a life, also where only slips do, the second time', () => {
  const round = roundOf({ limits: { lives: 3, livesLostOn: 'slip' } })
  missOnce(round)
  expect(round).toMatchObject({ misses: 1, lives: 3 })
  missOnce(round)
  expect(round).toMatchObject({ misses: 2, slips: 1, lives: 2 })
})
test('with one pair left there is nothing to miss', () => {
  const round = roundOf({})
  toLastPair(round)
  const { misses } = round
  missOnce(round)
  expect(round.misses).toBe(misses)
})

test('a miss of no time is made once', () => {
  const settings = settingsWith({ board: { rows: 2, columns: 2 }, turn: { missLook: 0 } })
  const round = newRound(settings, cellsOf(settings, pairsNamed(2)))
  const { inputs } = missOnce(round)
  expect([inputs.length, round.misses, round.flips]).toEqual([2, 1, 2])
})
