import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cardsMatch, NO_CARD, pairOf } from '../deck/card.ts'
import { anyInputs, anyPairs, anySettings, cellsOf } from '../testing/games.ts'
import { timeUsed } from './clock.ts'
import type { Event } from './events.ts'
import { advance, apply } from './machine.ts'
import { newRound } from './new-round.ts'
import { replay } from './replay.ts'
import { resultOf } from './result.ts'
import { LAST_TIME, type Round } from './round.ts'

const anyGame = fc.record({
  settings: anySettings,
  pairs: anyPairs,
  seed: fc.string({ minLength: 1 }),
  inputs: anyInputs,
})

describe('for any level, deal and inputs', () => {
  test('the counts add up, at most two cards are up, no card matches itself, an outcome stays', () => {
    fc.assert(
      fc.property(anyGame, ({ settings, pairs, seed, inputs }) => {
        const cells = cellsOf(settings, pairs, seed)
        const round = newRound(settings, cells)
        let decided = resultOf(round)
        for (const input of inputs) {
          apply(round, input)
          expect(round.states.filter((state) => state === 'up').length).toBeLessThanOrEqual(2)
          const now = resultOf(round)
          if (decided.outcome !== 'open') expect({ ...now, refused: {} }).toEqual({ ...decided, refused: {} })
          decided = now
        }
        const result = resultOf(round)
        expect(result.turns).toBe(result.matches + result.misses)
        expect(result.found + result.lucky + result.glimpsed).toBe(result.matches)
        expect(result.slips + result.fresh).toBe(result.misses)
        const events = round.events!
        expect(result.flips).toBe(events.filter((event) => event.kind === 'flip').length)
        const turnedBack = events.filter((event) => event.kind === 'turned-back').length
        expect(result.flips - 2 * result.turns - turnedBack).toBe(
          round.phase === 'one-up' || (round.second < 0 && round.first >= 0) ? 1 : 0,
        )
        expect(Object.values(result.refused).reduce((a, b) => a + b, 0)).toBe(
          events.filter((event) => event.kind === 'refused').length,
        )
        const taken = new Set<number>()
        for (const event of events)
          if (event.kind === 'match') {
            expect(event.first).not.toBe(event.second)
            expect(cardsMatch(cells[event.first]!, cells[event.second]!)).toBe(true)
            expect(taken.has(event.first) || taken.has(event.second)).toBe(false)
            taken.add(event.first).add(event.second)
          } else if (event.kind === 'miss')
            expect(cardsMatch(cells[event.first]!, cells[event.second]!)).toBe(false)
        expect(result.outcome === 'won').toBe(taken.size === cells.filter((card) => card !== NO_CARD).length)
      }),
      { numRuns: 400 },
    )
  })

  test('luck and slips are what a look through the list of events says', () => {
    fc.assert(
      fc.property(anyGame, ({ settings, pairs, seed, inputs }) => {
        const cells = cellsOf(settings, pairs, seed)
        const seenIn = new Map<number, number>()
        const matched = new Set<number>()
        for (const event of replay(settings, cells, { inputs }).events!) {
          if (event.kind === 'flip' && !seenIn.has(event.cell)) seenIn.set(event.cell, event.turn)
          // turned back alone it counts as seen before any turn
          if (event.kind === 'turned-back') seenIn.set(event.cell, 0)
          if (event.kind !== 'match' && event.kind !== 'miss') continue
          const { first, second, turn, how } = event
          const before = (cell: number): boolean => (seenIn.get(cell) ?? turn) < turn
          if (event.kind === 'match') {
            const atOnce = settings.turn.firstLook > 0 ? 'glimpsed' : 'lucky'
            expect(how).toBe(before(second) ? 'found' : atOnce)
            matched.add(first).add(second)
          } else {
            const twinSeen = cells.some(
              (card, cell) =>
                cell !== first && !matched.has(cell) && before(cell) && cardsMatch(cells[first]!, card),
            )
            expect(how).toBe(before(second) || twinSeen ? 'slip' : 'fresh')
          }
        }
      }),
      { numRuns: 400 },
    )
  })

  test('a replay gives the same events', () => {
    fc.assert(
      fc.property(anyGame, ({ settings, pairs, seed, inputs }) => {
        const live = newRound(settings, cellsOf(settings, pairs, seed))
        for (const input of inputs) apply(live, input)
        const again = replay(settings, cellsOf(settings, pairs, seed), { inputs })
        expect(again.events).toEqual(live.events)
      }),
    )
  })

  test('time split into any steps gives the same state', () => {
    fc.assert(
      fc.property(
        anyGame,
        fc.infiniteStream(fc.integer({ min: 1, max: 700 })),
        ({ settings, pairs, seed, inputs }, steps) => {
          const cells = cellsOf(settings, pairs, seed)
          const whole = newRound(settings, cells)
          const split = newRound(settings, cells)
          for (const input of inputs) {
            apply(whole, input)
            for (let at = split.at; at < input.at; at += steps.next().value as number) advance(split, at)
            apply(split, input)
            expect(split).toEqual(whole)
          }
        },
      ),
    )
  })

  test('however far a time is, the round ends or stands at the last one', () => {
    fc.assert(
      fc.property(anyGame, fc.constantFrom(2 ** 30 - 1, 2 ** 40, Infinity), (game, far) => {
        const { settings, pairs, seed, inputs } = game
        const round = newRound(settings, cellsOf(settings, pairs, seed))
        for (const input of inputs) apply(round, input)
        apply(round, { at: far, do: 'press', cell: 0 })
        advance(round, far)
        expect(round.at).toBe(LAST_TIME)
      }),
    )
  })

  test('events come in order of time, and without a listener the state is the same', () => {
    fc.assert(
      fc.property(anyGame, ({ settings, pairs, seed, inputs }) => {
        const cells = cellsOf(settings, pairs, seed)
        const heard = newRound(settings, cells)
        const unheard: Round = newRound(settings, cells, false)
        for (const input of inputs) {
          apply(heard, input)
          apply(unheard, input)
        }
        const times = heard.events!.map((event: Event) => event.at)
        expect(times).toEqual([...times].sort((a, b) => a - b))
        expect({ ...heard, events: null }).toEqual(unheard)
        expect(timeUsed(heard)).toBeGreaterThanOrEqual(0)
      }),
    )
  })

  test('a press counts only for a card that lies face down', () => {
    fc.assert(
      fc.property(anyGame, ({ settings, pairs, seed, inputs }) => {
        const cells = cellsOf(settings, pairs, seed)
        const up = new Set<number>()
        for (const event of replay(settings, cells, { inputs }).events!) {
          if (event.kind === 'flip') {
            expect(up.has(event.cell)).toBe(false)
            expect(pairOf(cells[event.cell]!)).toBeGreaterThanOrEqual(0)
            up.add(event.cell)
          } else if (event.kind === 'turned-back') up.delete(event.cell)
          else if (event.kind === 'settled' && event.to === 'down') {
            up.delete(event.first)
            up.delete(event.second)
          }
        }
      }),
    )
  })
})
