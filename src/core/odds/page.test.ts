import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { readFileSync } from 'node:fs'
import { playGame, type Press } from '../../../tests/second-mind.mjs'
import type { Cells } from '../deal/deal.ts'
import { cardOf, isRelated, NO_CARD, pairOf, sideOf } from '../deck/card.ts'
import { newRound } from '../play/new-round.ts'
import { READY_MINDS, type Mind } from '../settings/mind.ts'
import type { Settings } from '../settings/settings.ts'
import { anyPairs, anySettings, cellsOf, settingsWith } from '../testing/games.ts'
import { dealSeed } from './games.ts'
import { playMinds } from './play-minds.ts'
import { withoutLimits } from './without-limits.ts'

/** docs/odds.md, as somebody reads it who has nothing else. */
const page = readFileSync('docs/odds.md', 'utf8')

const chance = fc.oneof(fc.constantFrom(0, 1), fc.double({ min: 0, max: 0.5, noNaN: true }))
const anyMind: fc.Arbitrary<Mind> = fc.oneof(
  fc.constantFrom(...READY_MINDS),
  fc.record({
    id: fc.constant('any'),
    name: fc.constant('Any'),
    memory: fc.record({
      notice: fc.oneof(fc.constant(1), fc.double({ min: 0.3, max: 1, noNaN: true })),
      hold: fc.option(fc.integer({ min: 0, max: 12 })),
      fade: chance,
      blur: chance,
      glance: fc.constantFrom(0, 150, 700),
    }),
    pace: fc.record({
      first: fc.integer({ min: 1, max: 2000 }),
      second: fc.integer({ min: 1, max: 2000 }),
      spread: fc.constantFrom(0, 0.4, 1.5),
    }),
  }),
)
const anyLevel = fc
  .record({
    rules: anySettings,
    pairs: anyPairs,
    isLarge: fc.boolean(),
    hasLimits: fc.boolean(),
    goesAgain: fc.boolean(),
    seed: fc.string({ minLength: 1, maxLength: 20 }),
  })
  .map(({ rules, pairs, isLarge, hasLimits, goesAgain, seed }) => {
    const settings = hasLimits ? rules : withoutLimits(rules)
    const board = isLarge ? { rows: 5, columns: 8, gaps: ['A1', 'B3'] } : settings.board
    return {
      settings: {
        ...settings,
        board,
        players: { ...settings.players, matchGoesAgain: goesAgain },
      },
      pairs,
      seed,
    }
  })

/** What the project presses in a game, turn by turn, and how long it waits in all. */
function playedHere(settings: Settings, cells: Cells, minds: readonly Mind[], seed: string, game: number) {
  const names = minds.map((_, i) => `Player ${i + 1}`)
  const round = newRound({ ...settings, players: { ...settings.players, names } }, cells)
  const waited = playMinds(round, minds, seed, game)
  const isOnlyTurned = settings.turn.duringLook !== 'skip-and-flip'
  const presses = round.events!.flatMap((event): Press[] => {
    const { at } = event
    if (event.kind === 'flip') return [{ at, press: event.cell }]
    if (event.kind !== 'settled' || event.by === 'time') return []
    if (event.by === 'button') return [{ at, press: 'button' }]
    return isOnlyTurned ? [{ at, press: 'used up' }] : []
  })
  const end = round.events!.find(({ kind }) => kind === 'won' || kind === 'lost')
  const judged = round.events!.findLast(({ kind }) => kind === 'match' || kind === 'miss')
  // a turn that ends the game is followed by no wait
  const waits = round.turns - Number(end !== undefined && end.at === judged?.at)
  return { presses, waited, turns: round.turns, waits }
}

/** The same game by the mind that was written from the page. */
const playedThere = (
  settings: Settings,
  cells: Cells,
  minds: readonly Mind[],
  seed: string,
  game: number,
  turns: number,
) =>
  playGame({
    columns: settings.board.columns,
    cells: Array.from(cells, (card) =>
      card === NO_CARD ? null : { pair: pairOf(card), side: isRelated(card) ? sideOf(card) : null },
    ),
    turn: settings.turn,
    goesAgain: settings.players.matchGoesAgain,
    minds,
    seed,
    game,
    turns,
  })

describe('docs/odds.md', () => {
  test('is enough to rebuild a mind: 200 games of all kinds of rules, press by press', () => {
    let presses = 0
    fc.assert(
      fc.property(
        anyLevel,
        fc.array(anyMind, { minLength: 1, maxLength: 3 }),
        fc.integer({ min: 1, max: 5000 }),
        ({ settings, pairs, seed }, minds, game) => {
          const cells = cellsOf(settings, pairs, dealSeed(settings, seed, game))
          const here = playedHere(settings, cells, minds, seed, game)
          const there = playedThere(settings, cells, minds, seed, game, here.turns + 1)
          // limits are the level's: they cut a game off
          expect(there.presses.slice(0, here.presses.length)).toEqual(here.presses)
          expect(there.waits.slice(0, here.waits).reduce((sum, wait) => sum + wait, 0)).toBe(here.waited)
          presses += here.presses.length
        },
      ),
      { numRuns: 200 },
    )
    expect(presses).toBeGreaterThan(2000)
  })

  test('shows a game press by press', () => {
    const [, columns, deal] = /2 × (\d) with the deal `([\d ]+)`/.exec(page)!
    const settings = settingsWith({
      board: { rows: 2, columns: Number(columns) },
      turn: { matchLook: 1000, missLook: 1000 },
    })
    const cells = deal!.split(' ').map((pair) => cardOf(Number(pair), 'a', false))
    const rows = [...page.matchAll(/^\| `(\w+)` +\| ([\d ,]+?) +\|$/gm)]
    expect(rows.map(([, id]) => id)).toEqual(['everyday', 'none'])
    for (const [, id, told] of rows) {
      const minds = READY_MINDS.filter((mind) => mind.id === id)
      const { presses, turns } = playedHere(settings, cells, minds, 's2', 1)
      expect(told).toBe(presses.map(({ at, press }) => `${at} ${press}`).join(', '))
      expect(playedThere(settings, cells, minds, 's2', 1, turns).presses).toEqual(presses)
    }
  })
})
