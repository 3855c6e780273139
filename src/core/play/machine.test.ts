import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cardsMatch, NO_CARD, pairOf } from '../deck/card.ts'
import type { Own } from '../settings/levels.ts'
import { anyInputs, anyPairs, anySettings, cellsOf, pairsNamed, settingsWith } from '../testing/games.ts'
import { timeUsed } from './clock.ts'
import { advance, apply } from './machine.ts'
import type { Event, Input } from './events.ts'
import { replay } from './replay.ts'
import { resultOf, type RoundResult } from './result.ts'
import { newRound } from './new-round.ts'
import type { Round } from './round.ts'

/*
 * Short records with what must come of them, written by hand from the rules. The board is 2 × 2 in order: A1 and B1
 * are twins (cells 0, 1), A2 and B2 are twins (cells 2, 3). A step is "TIME what", what being a cell, or
 * back, pause, resume, or wait (time passes). Look times are 800 for a match and 1000 for a miss.
 */
type Row = [
  what: string,
  own: Own,
  steps: string,
  expected: Partial<RoundResult> & { phase?: string; up?: string; player?: number },
]
const two = (matchGoesAgain = true): Own => ({ players: { names: ['Ann', 'Ben'], matchGoesAgain } })
/** Matches, misses and score of each player. */
const seats = (...rows: [number, number, number][]) =>
  rows.map(([matches, misses, score]) => ({ matches, misses, score }))
const down = (limit: number, more: object = {}): Own => ({ clock: { mode: 'down', limit, ...more } })

const RECORDS: Row[] = [
  ['a match at once', {}, '0 0, 10 1', { matches: 1, lucky: 1, turns: 1, flips: 2, phase: 'judged' }],
  ['a match settles after its look', {}, '0 0, 10 1, 810 wait', { phase: 'ready', up: 'm m d d' }],
  ['and not a millisecond sooner', {}, '0 0, 10 1, 809 wait', { phase: 'judged', up: 'u u d d' }],
  ['twins that leave', { turn: { onMatch: 'leave' } }, '0 0, 10 1, 810 wait', { up: 'g g d d' }],
  ['a miss turns back', {}, '0 0, 10 2, 1010 wait', { misses: 1, fresh: 1, phase: 'ready', up: 'd d d d' }],
  [
    'the same card twice',
    {},
    '0 0, 10 0',
    { turns: 0, flips: 1, refused: { 'face-up': 1 }, phase: 'one-up' },
  ],
  ['a third card', {}, '0 0, 10 2, 20 1', { flips: 2, refused: { locked: 1 } }],
  [
    'a third press at the end of the look is ordinary',
    {},
    '0 0, 10 2, 1010 1',
    { flips: 3, refused: {}, phase: 'one-up' },
  ],
  ['a matched card', {}, '0 0, 10 1, 900 0', { refused: { matched: 1 } }],
  ['a card that left', { turn: { onMatch: 'leave' } }, '0 0, 10 1, 900 0', { refused: { matched: 1 } }],
  ['outside the board', {}, '0 9, 1 -1', { refused: { 'no-card': 2 } }],
  ['locked comes before no-card and matched', {}, '0 0, 10 2, 20 9, 30 0', { refused: { locked: 2 } }],
  [
    'in the first look',
    { turn: { firstLook: 500 } },
    '499 0',
    { refused: { 'first-look': 1 }, phase: 'first-look' },
  ],
  ['at the end of the first look', { turn: { firstLook: 500 } }, '500 0', { flips: 1, refused: {} }],
  ['a first look is not seen', { turn: { firstLook: 500 } }, '500 0, 510 1', { lucky: 1, found: 0 }],
  [
    'paused comes before first-look',
    { turn: { firstLook: 500 } },
    '10 pause, 20 0',
    { refused: { paused: 1 } },
  ],
  [
    'a pause holds the first look',
    { turn: { firstLook: 500 } },
    '100 pause, 1000 resume, 1399 0, 1400 0',
    { flips: 1, refused: { 'first-look': 1 } },
  ],
  [
    'a pause holds the look time',
    {},
    '0 0, 10 2, 500 pause, 9000 resume, 9509 1, 9510 1',
    { flips: 3, refused: { locked: 1 } },
  ],
  [
    'a second pause and a second resume change nothing',
    {},
    '0 0, 10 pause, 20 pause, 30 resume, 40 resume',
    { timeUsed: 20, phase: 'one-up' },
  ],
  ['a found match', {}, '0 0, 1 2, 1100 1, 1101 0', { found: 1, lucky: 0, matches: 1 }],
  ['a match is found by its second card only', {}, '0 0, 1 2, 1100 0, 1101 1', { found: 0, lucky: 1 }],
  ['a slip: the twin of the first was seen', {}, '0 0, 1 2, 1100 1, 1101 3', { slips: 1, fresh: 1 }],
  ['a slip: the second was seen', {}, '0 0, 1 2, 1100 3, 1101 0', { slips: 1, fresh: 1 }],
  ['a fresh miss: only the first was seen', {}, '0 0, 1 2, 1100 0, 1101 3', { slips: 0, fresh: 2 }],
  [
    'skip uses the press up',
    { turn: { duringLook: 'skip' } },
    '0 0, 10 2, 20 1',
    { flips: 2, refused: {}, phase: 'ready' },
  ],
  [
    'skip and flip',
    { turn: { duringLook: 'skip-and-flip' } },
    '0 0, 10 2, 20 1',
    { flips: 3, phase: 'one-up', up: 'd u d d' },
  ],
  [
    'skip and flip onto a matched card',
    { turn: { duringLook: 'skip-and-flip' } },
    '0 0, 10 1, 20 0',
    { flips: 2, refused: { matched: 1 } },
  ],
  [
    'skip ends the look of a match too',
    { turn: { duringLook: 'skip' } },
    '0 0, 10 1, 20 2',
    { flips: 2, up: 'm m d d' },
  ],
  [
    'on press: the cards wait',
    { turn: { onMiss: 'press' } },
    '0 0, 10 2, 60000 wait',
    { phase: 'judged', up: 'u d u d' },
  ],
  [
    'on press: the first press after the look is used up',
    { turn: { onMiss: 'press' } },
    '0 0, 10 2, 1010 1',
    { flips: 2, refused: {}, up: 'd d d d' },
  ],
  [
    'on press: a press in the look goes by duringLook',
    { turn: { onMiss: 'press' } },
    '0 0, 10 2, 1009 1',
    { refused: { locked: 1 }, up: 'u d u d' },
  ],
  [
    'on press with skip',
    { turn: { onMiss: 'press', duringLook: 'skip' } },
    '0 0, 10 2, 500 1',
    { flips: 2, up: 'd d d d' },
  ],
  [
    'on press, it also flips under skip-and-flip',
    { turn: { onMiss: 'press', duringLook: 'skip-and-flip' } },
    '0 0, 10 2, 5000 1',
    { flips: 3, up: 'd u d d' },
  ],
  [
    'on press: a match settles by itself',
    { turn: { onMiss: 'press' } },
    '0 0, 10 1, 810 wait',
    { phase: 'ready' },
  ],
  [
    'button: turned back at any time after the judgement',
    { turn: { onMiss: 'button' } },
    '0 0, 10 2, 11 back, 12 1',
    { flips: 3, up: 'd u d d' },
  ],
  [
    'button: presses before it are locked, also after the look',
    { turn: { onMiss: 'button', duringLook: 'skip' } },
    '0 0, 10 2, 5000 1',
    { refused: { locked: 1 }, up: 'u d u d' },
  ],
  [
    'button: with nothing to turn back',
    { turn: { onMiss: 'button' } },
    '0 back, 1 0, 2 1, 3 back',
    { phase: 'judged', up: 'u u d d' },
  ],
  ['turn-back under timed changes nothing', {}, '0 0, 10 2, 11 back', { phase: 'judged' }],
  [
    'won at the press',
    {},
    '0 0, 1 1, 801 2, 802 3',
    { outcome: 'won', matches: 2, phase: 'won', up: 'm m u u' },
  ],
  ['finished comes first', {}, '0 0, 1 1, 801 2, 802 3, 810 0, 820 9', { refused: { finished: 2 } }],
  [
    'after a win the last twins settle',
    {},
    '0 0, 1 1, 801 2, 802 3, 1602 wait',
    { up: 'm m m m', phase: 'won' },
  ],
  ['no pause after the end', {}, '0 0, 1 1, 801 2, 802 3, 900 pause', { phase: 'won' }],
  [
    'lives go with each miss',
    { limits: { lives: 2 } },
    '0 0, 1 2, 1001 1, 1002 3',
    { outcome: 'lost', lostBy: 'lives', lives: 0, misses: 2 },
  ],
  [
    'lives go with slips only',
    { limits: { lives: 1, livesLostOn: 'slip' } },
    '0 0, 1 2, 1001 0, 1002 3, 2002 1, 2003 2',
    { outcome: 'lost', lives: 0, fresh: 2, slips: 1 },
  ],
  ['turns used up', { limits: { turns: 1 } }, '0 0, 1 1', { outcome: 'lost', lostBy: 'turns', matches: 1 }],
  [
    'the last turn may still win',
    { limits: { turns: 2 } },
    '0 0, 1 1, 801 2, 802 3',
    { outcome: 'won', lostBy: null },
  ],
  [
    'a miss passes the turn',
    two(),
    '0 0, 1 2, 1001 wait',
    { players: seats([0, 1, 0], [0, 0, 0]), player: 1 },
  ],
  ['not before it has settled', two(), '0 0, 1 2, 1000 wait', { player: 0 }],
  ['a match goes again', two(), '0 0, 1 1, 801 wait', { players: seats([1, 0, 100], [0, 0, 0]), player: 0 }],
  ['or passes, where it does not', two(false), '0 0, 1 1, 801 wait', { player: 1 }],
  [
    'the second player scores for themselves; the score is that of all',
    two(),
    '0 0, 1 2, 1001 0, 1002 1',
    { score: 100, players: seats([0, 1, 0], [1, 0, 100]) },
  ],
  [
    "a streak is a player's own",
    two(false),
    '0 0, 1 1, 801 2, 802 3',
    { score: 200, longestStreak: 1, players: seats([1, 0, 100], [1, 0, 100]), outcome: 'won' },
  ],
  [
    'and goes on where a match goes again',
    two(),
    '0 0, 1 1, 801 2, 802 3',
    { score: 250, longestStreak: 2, players: seats([2, 0, 250], [0, 0, 0]) },
  ],
  [
    'zero is the floor of each player',
    { ...two(), score: { miss: 30 } },
    '0 0, 1 2, 1001 0, 1002 1',
    { score: 100, players: seats([0, 1, 0], [1, 0, 100]) },
  ],
  [
    'after three players the first again',
    { players: { names: ['A', 'B', 'C'] } },
    '0 0, 1 2, 1001 0, 1002 2, 2002 0, 2003 2, 3003 wait',
    { player: 0, misses: 3 },
  ],
  ['turns are those of the table', { ...two(), limits: { turns: 1 } }, '0 0, 1 2', { lostBy: 'turns' }],
  ['lives before turns', { limits: { turns: 1, lives: 1 } }, '0 0, 1 2', { lostBy: 'lives' }],
  [
    'turns before the clock',
    { limits: { turns: 1 }, ...down(1000, { missPenalty: 5000 }) },
    '0 0, 1 2',
    { lostBy: 'turns' },
  ],
  ['a press exactly at the limit counts', down(1000), '0 0, 1000 1', { matches: 1, outcome: 'open' }],
  [
    'the first millisecond after it does not',
    down(1000),
    '0 0, 1001 1',
    { matches: 0, outcome: 'lost', lostBy: 'clock', timeUsed: 1001, refused: { finished: 1 } },
  ],
  [
    'the clock loses in mid-turn by itself',
    down(1000),
    '500 0, 1501 wait',
    { outcome: 'lost', phase: 'lost', up: 'u d d d' },
  ],
  ['and during a look', down(1000), '0 0, 1 2, 1500 wait', { lostBy: 'clock', timeUsed: 1001 }],
  ['the clock starts with the first flip', down(1000), '5000 0, 6000 1', { outcome: 'open' }],
  ['or at the deal', down(1000, { startsAt: 'deal' }), '1001 0', { outcome: 'lost' }],
  [
    'which is after the first look',
    { turn: { firstLook: 500 }, ...down(1000, { startsAt: 'deal' }) },
    '1500 0',
    { outcome: 'open', timeUsed: 1000 },
  ],
  [
    'the clock stands still while paused',
    down(1000),
    '0 0, 100 pause, 60000 resume, 60900 1',
    { outcome: 'open', matches: 1 },
  ],
  [
    'a look stops the clock if so ruled',
    down(1000, { lookStopsClock: true }),
    '0 0, 1 2, 1001 1, 2000 wait',
    { outcome: 'open', timeUsed: 1000 },
  ],
  [
    'cards that wait for a press do not stop it',
    { turn: { onMiss: 'press' }, ...down(5000, { lookStopsClock: true }) },
    '0 0, 1 2, 1101 wait',
    { timeUsed: 101 },
  ],
  [
    'cards that wait for the button do',
    { turn: { onMiss: 'button' }, ...down(5000, { lookStopsClock: true }) },
    '0 0, 1 2, 4001 wait',
    { timeUsed: 1 },
  ],
  ['a bonus moves the limit', down(1000, { matchBonus: 500 }), '0 0, 1000 1, 1500 wait', { outcome: 'open' }],
  ['by just so much', down(1000, { matchBonus: 500 }), '0 0, 1000 1, 1501 wait', { outcome: 'lost' }],
  [
    'a penalty can lose at the judgement',
    down(1000, { missPenalty: 900 }),
    '0 0, 101 2',
    { outcome: 'lost', lostBy: 'clock', timeUsed: 101 },
  ],
  [
    'a penalty down to just the time used does not',
    down(1000, { missPenalty: 900 }),
    '0 0, 100 2',
    { outcome: 'open' },
  ],
  [
    'a win beats the clock at the same press',
    down(1000),
    '0 0, 1 1, 900 2, 1000 3, 5000 wait',
    { outcome: 'won', timeUsed: 1000 },
  ],
  [
    'up: a penalty adds to the time used',
    { clock: { mode: 'up', missPenalty: 700 } },
    '0 0, 100 2',
    { timeUsed: 800 },
  ],
  [
    'up: a bonus never takes it below zero',
    { clock: { mode: 'up', matchBonus: 700 } },
    '0 0, 100 1, 150 wait',
    { timeUsed: 50 },
  ],
  [
    'off: time is counted, bonus and penalty are not',
    { clock: { mode: 'off', missPenalty: 700 } },
    '0 0, 100 2',
    { timeUsed: 100 },
  ],
  [
    'a streak grows and a miss ends it',
    { score: { match: 100, streakStep: 0.5, miss: 30 } },
    '0 0, 1 1, 801 2, 802 3',
    { score: 250, longestStreak: 2 },
  ],
  ['the score stops at zero', { score: { miss: 30 } }, '0 0, 1 2', { score: 0 }],
  [
    'unless it may fall',
    { score: { miss: 30, slip: 5, floorAtZero: false } },
    '0 0, 1 2, 1001 1, 1002 2',
    { score: -65 },
  ],
  ['luck pays', { score: { lucky: 7 } }, '0 0, 1 1', { score: 107 }],
  [
    'a win pays whole seconds and lives',
    { limits: { lives: 3 }, score: { match: 0, perSecondLeft: 10, perLifeLeft: 100 }, ...down(60_000) },
    '0 0, 1 1, 801 2, 1001 3',
    { score: 10 * 58 + 300 },
  ],
  [
    'a bonus of the last match counts among them',
    { score: { match: 0, perSecondLeft: 10 }, ...down(10_000, { matchBonus: 1000 }) },
    '0 0, 1 1, 801 2, 1000 3',
    { score: 110 },
  ],
  [
    'stars by score',
    { score: { stars: { by: 'score', at: [100, 250, 900] } } },
    '0 0, 1 1, 801 2, 802 3',
    { stars: 2 },
  ],
  [
    'stars by turns',
    { score: { stars: { by: 'turns', at: [4, 3, 2] } } },
    '0 0, 1 1, 801 2, 802 3',
    { stars: 3 },
  ],
  [
    'stars by time',
    { score: { stars: { by: 'time', at: [900, 802, 100] } } },
    '0 0, 1 1, 801 2, 802 3',
    { stars: 2 },
  ],
  [
    'no stars for a game that is not won',
    { score: { stars: { by: 'turns', at: [4, 3, 2] } } },
    '0 0, 1 1',
    { stars: 0 },
  ],
  [
    'a look of no time settles at once',
    { turn: { matchLook: 0, missLook: 0 } },
    '0 0, 0 2, 0 1',
    { flips: 3, up: 'd u d d' },
  ],
]

function played(steps: string): { inputs: Input[]; until?: number } {
  const inputs: Input[] = []
  let until: number | undefined
  for (const step of steps.split(', ')) {
    const [time, what] = step.split(' ') as [string, string]
    const at = Number(time)
    if (what === 'wait') until = at
    else if (what === 'back') inputs.push({ at, do: 'turn-back' })
    else if (what === 'pause' || what === 'resume') inputs.push({ at, do: what })
    else inputs.push({ at, do: 'press', cell: Number(what) })
  }
  return { inputs, until }
}

describe('the rules, one by one', () => {
  test.each(RECORDS)('%s', (_what, own, steps, { phase, up, player, ...expected }) => {
    const settings = settingsWith({ ...own, board: { rows: 2, columns: 2 }, deal: { way: 'in-order' } })
    const round = replay(settings, cellsOf(settings, pairsNamed(2)), played(steps))
    expect(resultOf(round)).toMatchObject(expected)
    if (expected.refused) expect(round.refused).toEqual(expected.refused)
    if (player !== undefined) expect(round.player).toBe(player)
    if (phase) expect(round.phase).toBe(phase)
    if (up) expect(round.states.map((state) => state![0]).join(' ')).toBe(up)
  })

  test('related twins match, two of the same face do not', () => {
    const settings = settingsWith({
      board: { rows: 1, columns: 4 },
      deal: { way: 'arranged', arranged: ['p0/a', 'p0/a', 'p0/b', 'p0/b'] },
    })
    const cells = cellsOf(
      settings,
      pairsNamed(1, () => true),
    )
    expect(resultOf(replay(settings, cells, played('0 0, 1 1')))).toMatchObject({ misses: 1 })
    expect(resultOf(replay(settings, cells, played('0 0, 1 2')))).toMatchObject({ matches: 1 })
  })

  test('a slip looks only at cards that still lie on the board', () => {
    const settings = settingsWith({
      board: { rows: 1, columns: 6 },
      deal: { way: 'arranged', arranged: ['p0/a', 'p0/a', 'p0/a', 'p0/a', 'p1/a', 'p1/a'] },
    })
    const cells = cellsOf(settings, pairsNamed(2))
    // never seen before it was matched; seen, and then matched as the second or as the first card of a turn
    for (const steps of [
      '0 0, 1 1, 1000 2, 1001 4',
      '0 0, 1 4, 2000 1, 2001 0, 4000 2, 4001 5',
      '0 0, 1 4, 2000 0, 2001 1, 4000 2, 4001 5',
    ]) {
      const { events } = replay(settings, cells, played(steps))
      expect(events!.findLast((event) => event.kind === 'miss')).toMatchObject({ how: 'fresh' })
    }
  })

  test('a refused press leaves one event with its reason, and changes no count', () => {
    const settings = settingsWith({ board: { rows: 2, columns: 2 } })
    const round = newRound(settings, cellsOf(settings, pairsNamed(2)))
    apply(round, { at: 5, do: 'press', cell: 0 })
    const before = resultOf(round)
    apply(round, { at: 5, do: 'press', cell: 0 })
    expect(round.events!.at(-1)).toEqual({
      at: 5,
      phase: 'one-up',
      kind: 'refused',
      cell: 0,
      reason: 'face-up',
    })
    expect({ ...resultOf(round), refused: {} }).toEqual(before)
  })
})

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
        expect(result.found + result.lucky).toBe(result.matches)
        expect(result.slips + result.fresh).toBe(result.misses)
        const events = round.events!
        expect(result.flips).toBe(events.filter((event) => event.kind === 'flip').length)
        expect(result.flips - 2 * result.turns).toBe(
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
          if (event.kind !== 'match' && event.kind !== 'miss') continue
          const { first, second, turn, how } = event
          const before = (cell: number): boolean => (seenIn.get(cell) ?? turn) < turn
          if (event.kind === 'match') {
            expect(how).toBe(before(second) ? 'found' : 'lucky')
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
          } else if (event.kind === 'settled' && event.to === 'down') {
            up.delete(event.first)
            up.delete(event.second)
          }
        }
      }),
    )
  })
})
