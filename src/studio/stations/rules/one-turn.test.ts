import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { resolveLevel } from '../../../core/settings/levels.ts'
import { BOUNDS } from '../../../core/settings/bounds.ts'
import {
  DEFAULTS,
  DURING_LOOK,
  ON_MATCH,
  ON_MISS,
  ON_OPEN,
  type Settings,
} from '../../../core/settings/settings.ts'
import { prepareDeal } from '../../../core/deal/deal.ts'
import { replay } from '../../../core/play/replay.ts'
import { gameWith, pairsNamed } from '../../../core/testing/games.ts'
import { LEAD, missMotion, oneTurns, secondFlip, turnEnd, turnParts, twoCards } from './one-turn.ts'

const anyTurn: fc.Arbitrary<Settings['turn']> = fc.record({
  firstLook: fc.nat(5000),
  matchLook: fc.nat(3000),
  missLook: fc.nat(3000),
  duringLook: fc.constantFrom(...DURING_LOOK),
  onMatch: fc.constantFrom(...ON_MATCH),
  onMiss: fc.constantFrom(...ON_MISS),
  onOpen: fc.constantFrom(...ON_OPEN),
})

const anyFlip = fc.integer({ min: BOUNDS.motion[0], max: BOUNDS.motion[1] })

describe('one turn', () => {
  test('is played by the machine as the strip draws it: two flips, a judgement, and over in time', () => {
    fc.assert(
      fc.property(anyTurn, anyFlip, fc.boolean(), (turn, flipTime, related) => {
        const game = gameWith(
          { turn, look: { flipTime } },
          pairsNamed(2, () => related),
        )
        const settings = resolveLevel(game, game.levels[0])
        const [match, miss] = oneTurns(game, settings)
        const two = twoCards(game, settings)
        const rules = resolveLevel(two, two.levels[0])
        for (const [one, judged] of [
          [match!, 'matches'],
          [miss!, 'misses'],
        ] as const) {
          const round = replay(rules, one.cells, one)
          expect(round.turns).toBe(1)
          expect(round[judged]).toBe(1)
          const flips = round.events!.flatMap((event) => (event.kind === 'flip' ? [event.at] : []))
          expect(flips.slice(0, 2)).toEqual([LEAD, LEAD + secondFlip(settings.look)])
          expect(round.events!.some((event) => event.kind === 'refused')).toBe(false)
        }
        const over = replay(rules, miss!.cells, miss!)
        // under skip-and-flip the press that turns them back turns one anew
        const again = turn.onMiss === 'press' && turn.duringLook === 'skip-and-flip'
        expect(over.states.filter((state) => state === 'up')).toHaveLength(again ? 1 : 0)
      }),
    )
  })
  test('lies on the strip without a hole, and ends with the last part', () => {
    fc.assert(
      fc.property(anyTurn, anyFlip, fc.boolean(), (turn, flipTime, match) => {
        const parts = turnParts({ turn, look: { ...DEFAULTS.look, flipTime } }, match)
        for (const [i, part] of parts.entries()) {
          expect(part.long).toBeGreaterThanOrEqual(0)
          if (i && part.kind !== 'next') expect(part.from).toBe(parts[i - 1]!.from + parts[i - 1]!.long)
        }
        expect(turnEnd(parts)).toBe(Math.max(...parts.map(({ from, long }) => from + long)))
      }),
    )
  })
  test('shows a missed card move after it has turned, as often as it does', () => {
    const look = { ...DEFAULTS.look, flipTime: 500, missTime: 200, missMoves: 3 }
    expect(missMotion({ look })).toEqual({ from: secondFlip(look) + 450, long: 600 })
    expect(missMotion({ look: { ...look, missMotion: 'none' } })).toBeNull()
    expect(missMotion({ look: { ...look, missTime: 0 } })).toBeNull()
  })
  test('asks for two cards that can always be dealt, and for nothing else of the level', () => {
    const game = gameWith(
      { turn: { firstLook: 4000 }, limits: { lives: 1, turns: 1 }, clock: { mode: 'down', limit: 1000 } },
      pairsNamed(1),
    )
    const two = twoCards(game, resolveLevel(game, game.levels[0]))
    expect(prepareDeal(two.deck.pairs, resolveLevel(two, two.levels[0])).ok).toBe(true)
    expect(two.house).toMatchObject({ turn: { firstLook: 0 }, limits: { lives: null, turns: null } })
    expect(oneTurns(game, two.house)).toHaveLength(1)
    expect(oneTurns({ ...game, deck: { ...game.deck, pairs: [] } }, two.house)).toEqual([])
  })
})
