import fc from 'fast-check'
import { DEFAULT_BACK } from '../settings/back.ts'
import { prepareDeal, type Cells } from '../deal/deal.ts'
import type { Game } from '../game/game.ts'
import { type Own, resolveLevel } from '../settings/levels.ts'
import type { Pair } from '../deck/pair.ts'
import {
  CLOCK_MODES,
  CLOCK_STARTS,
  DEFAULTS,
  DURING_LOOK,
  LIVES_LOST_ON,
  ON_MATCH,
  ON_MISS,
  ON_OPEN,
  type Settings,
} from '../settings/settings.ts'
import type { Input } from '../play/events.ts'

/** Games, levels, deals and inputs for tests. */

export const pairsNamed = (count: number, related: (i: number) => boolean = () => false): Pair[] =>
  Array.from({ length: count }, (_, i) => ({
    id: `p${i}`,
    name: `Pair ${i}`,
    a: { kind: 'text', text: `A${i}` },
    ...(related(i) ? { b: { kind: 'text' as const, text: `B${i}` } } : {}),
  }))

export function gameWith(own: Own = {}, pairs: Pair[] = pairsNamed(18)): Game {
  return {
    id: 'test-game',
    title: 'Test game',
    deck: { back: DEFAULT_BACK, pairs },
    house: DEFAULTS,
    levels: [{ id: 'first', name: 'First', ...own }],
  }
}

export const settingsWith = (own: Own): Settings =>
  resolveLevel({ house: DEFAULTS }, { id: 'x', name: 'X', ...own })

/** The cells of a level that is known to be dealable. */
export function cellsOf(settings: Settings, pairs: Pair[], seed = 'test'): Cells {
  const dealer = prepareDeal(pairs, settings)
  if (!dealer.ok) throw new Error(dealer.problem.message)
  return dealer.value.deal(seed)
}

const ms = (most: number): fc.Arbitrary<number> =>
  fc.oneof(fc.constantFrom(0, 1), fc.integer({ min: 0, max: most }))

/** Settings of any small level: every rule of the turn, clock, limits and score, boards from 1 × 2 to 5 × 4. */
export const anySettings: fc.Arbitrary<Settings> = fc
  .record({
    rows: fc.integer({ min: 1, max: 5 }),
    half: fc.integer({ min: 1, max: 2 }),
    way: fc.constantFrom('shuffled' as const, 'in-order' as const),
    firstLook: ms(3000),
    matchLook: ms(1500),
    missLook: ms(1500),
    duringLook: fc.constantFrom(...DURING_LOOK),
    onMatch: fc.constantFrom(...ON_MATCH),
    onMiss: fc.constantFrom(...ON_MISS),
    onOpen: fc.constantFrom(...ON_OPEN),
    mode: fc.constantFrom(...CLOCK_MODES),
    limit: fc.integer({ min: 1000, max: 40_000 }),
    startsAt: fc.constantFrom(...CLOCK_STARTS),
    lookStopsClock: fc.boolean(),
    matchBonus: ms(4000),
    missPenalty: ms(4000),
    lives: fc.option(fc.integer({ min: 1, max: 6 })),
    livesLostOn: fc.constantFrom(...LIVES_LOST_ON),
    turns: fc.option(fc.integer({ min: 1, max: 20 })),
    miss: fc.integer({ min: 0, max: 50 }),
    slip: fc.integer({ min: 0, max: 50 }),
    lucky: fc.integer({ min: 0, max: 50 }),
    perSecondLeft: fc.integer({ min: 0, max: 9 }),
    floorAtZero: fc.boolean(),
  })
  .map((v) =>
    settingsWith({
      board: { rows: v.rows, columns: v.half * 2 },
      fill: { repeat: 'evenly' },
      deal: { way: v.way },
      turn: {
        firstLook: v.firstLook,
        matchLook: v.matchLook,
        missLook: v.missLook,
        duringLook: v.duringLook,
        onMatch: v.onMatch,
        onMiss: v.onMiss,
        onOpen: v.onOpen,
      },
      clock: {
        mode: v.mode,
        limit: v.limit,
        startsAt: v.startsAt,
        lookStopsClock: v.lookStopsClock,
        matchBonus: v.matchBonus,
        missPenalty: v.missPenalty,
      },
      limits: { lives: v.lives, livesLostOn: v.livesLostOn, turns: v.turns },
      score: {
        miss: v.miss,
        slip: v.slip,
        lucky: v.lucky,
        perSecondLeft: v.perSecondLeft,
        floorAtZero: v.floorAtZero,
        perLifeLeft: 7,
        streakStep: 0.5,
      },
    }),
  )

/** Pairs for such a level: few enough that some boards must repeat them, some of them related. */
export const anyPairs: fc.Arbitrary<Pair[]> = fc
  .tuple(fc.integer({ min: 1, max: 10 }), fc.infiniteStream(fc.boolean()))
  .map(([count, related]) => {
    const flags = Array.from({ length: count }, () => related.next().value as boolean)
    return pairsNamed(count, (i) => flags[i]!)
  })

/** Inputs of a restless player: mostly presses, now and then a pause, an invalid cell, a double press. */
export const anyInputs: fc.Arbitrary<Input[]> = fc
  .array(
    fc.record({
      wait: fc.oneof(
        { weight: 4, arbitrary: fc.integer({ min: 0, max: 900 }) },
        { weight: 2, arbitrary: fc.constantFrom(0, 1) },
        { weight: 1, arbitrary: fc.integer({ min: 900, max: 5000 }) },
      ),
      act: fc.oneof(
        {
          weight: 12,
          arbitrary: fc.integer({ min: 0, max: 19 }).map((cell) => ({ do: 'press' as const, cell })),
        },
        { weight: 1, arbitrary: fc.constantFrom(-1, 400).map((cell) => ({ do: 'press' as const, cell })) },
        { weight: 2, arbitrary: fc.constant({ do: 'turn-back' as const }) },
        { weight: 1, arbitrary: fc.constantFrom({ do: 'pause' as const }, { do: 'resume' as const }) },
      ),
    }),
    { maxLength: 80 },
  )
  .map((steps) => {
    let at = 0
    return steps.map(({ wait, act }) => ({ at: (at += wait), ...act }))
  })

/** A page with a game and nothing to show or say beside it. */
export const nothingBeside = { art: {}, words: {}, credits: [], drawings: {} }
