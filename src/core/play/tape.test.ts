import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { streamOf } from '../deal/seed.ts'
import type { Game } from '../game/game.ts'
import type { Own } from '../settings/levels.ts'
import { anySettings, cellsOf, gameWith, pairsNamed, settingsWith } from '../testing/games.ts'
import { checkOf, passed, runCheck, tableOf } from '../game/check.ts'
import type { Input } from './events.ts'
import { broken, newWatch } from './invariants.ts'
import { apply } from './machine.ts'
import { inOrder, type Check } from './record.ts'
import { replay } from './replay.ts'
import { resultOf, winners } from './result.ts'
import { emptyReport, handleRoughly, NASTY } from './rough.ts'
import { newRound } from './new-round.ts'
import { isOver, type Round } from './round.ts'
import { chipsOf, firstDifference, standingAt, standingWhen, storyOf } from './tape.ts'

/** Presses of a 2 × 2 board in order (A1 B1 twins, A2 B2 twins): a fresh miss, a found match, and the win. */
const PRESSES: [number, number][] = [
  [100, 0],
  [500, 2],
  [2000, 0],
  [2600, 1],
  [4000, 2],
  [4900, 3],
]
const inputs: Input[] = PRESSES.map(([at, cell]) => ({ at, do: 'press', cell }))
const inOrderBoard: Own = { board: { rows: 2, columns: 2 }, deal: { way: 'in-order' } }
const rules = settingsWith(inOrderBoard)
const cells = cellsOf(rules, pairsNamed(2))
const played = replay(rules, cells, { inputs })

describe('the tape', () => {
  test('has a chip a turn, with what it came to and how long it took', () => {
    expect(chipsOf(played.events!)).toEqual([
      { turn: 1, first: 0, second: 2, match: false, how: 'fresh', points: 0, at: 500, took: 500 },
      { turn: 2, first: 0, second: 1, match: true, how: 'lucky', points: 100, at: 2600, took: 2100 },
      { turn: 3, first: 2, second: 3, match: true, how: 'lucky', points: 150, at: 4900, took: 2300 },
    ])
    expect(storyOf(played.events!, 2)).toEqual(['A1 A2 fresh 0', 'A1 B1 lucky +100', 'A2 B2 lucky +150'])
  })
  test.each([
    [0, 0, 0, 'ready'],
    [1, 2, 500, 'judged'],
    [2, 4, 2600, 'judged'],
    [3, 6, 4900, 'won'],
    [99, 6, 4900, 'won'],
  ])('stands at turn %i as it stood then', (turn, count, at, phase) => {
    const standing = standingAt(rules, cells, inputs, turn)
    expect(standing.inputs).toEqual(inputs.slice(0, count))
    expect(standing.round).toMatchObject({ at, phase, turns: Math.min(turn, 3) })
  })
  test('stands at any moment, with what fell due by then', () => {
    expect(standingWhen(rules, cells, inputs, 1499).round.phase).toBe('judged')
    expect(standingWhen(rules, cells, inputs, 1500).round.phase).toBe('ready')
    expect(standingWhen(rules, cells, inputs, 2000).inputs).toHaveLength(3)
  })
  test('what is played on from a turn is as if it had been played so from the start', () => {
    fc.assert(
      fc.property(fc.nat(3), fc.array(fc.nat(3), { maxLength: 8 }), (turn, more) => {
        const { round, inputs: before } = standingAt(rules, cells, inputs, turn)
        const on: Input[] = more.map((cell, i) => ({ at: round.at + i * 700, do: 'press', cell }))
        for (const input of on) apply(round, input)
        expect(resultOf(round)).toEqual(resultOf(replay(rules, cells, { inputs: [...before, ...on] })))
      }),
    )
  })
  test('tells where two stories part', () => {
    expect(firstDifference(['a', 'b'], ['a', 'b'])).toBe(0)
    expect(firstDifference(['a', 'b'], ['a', 'c'])).toBe(2)
    expect(firstDifference(['a'], ['a', 'b'])).toBe(2)
  })
})

describe('a kept check', () => {
  const game: Game = gameWith(inOrderBoard, pairsNamed(2))
  const kept = checkOf(game, { level: 'first', seed: 's', inputs, until: 6000 }, 'Two lucky pairs')!
  const after = (own: Own): Game => ({ ...game, levels: [{ ...game.levels[0]!, ...own }] })

  test('expects what came of the game, and holds as long as nothing changes', () => {
    expect(kept).toMatchObject({ id: 'two-lucky-pairs', expect: { outcome: 'won', score: 250, lucky: 2 } })
    const checked = runCheck(game, kept)
    expect([checked.wrong, checked.turn, passed(checked)]).toEqual([[], 0, true])
  })
  test('fails at the turn in which a changed rule shows first', () => {
    const checked = runCheck(after({ ...inOrderBoard, score: { match: 70 } }), kept)
    expect(passed(checked)).toBe(false)
    expect(checked.turn).toBe(2)
    expect(checked.wrong).toContainEqual({ key: 'score', expected: 250, actual: 175 })
    expect(checked.wrong).toContainEqual({
      key: 'turn 2',
      expected: 'A1 B1 lucky +100',
      actual: 'A1 B1 lucky +70',
    })
  })
  test('a look that is longer refuses what was pressed', () => {
    const checked = runCheck(after({ ...inOrderBoard, turn: { missLook: 1600 } }), kept)
    expect(checked.wrong.map(({ key }) => key)).toEqual(
      expect.arrayContaining(['refused', 'outcome', 'turn 2']),
    )
  })
  test('says so if its level is gone or cannot be dealt any more', () => {
    expect(runCheck({ ...game, levels: [{ ...game.levels[0]!, id: 'other' }] }, kept).problem).toEqual({
      at: 'level',
      message: 'no level "first" in this game',
    })
    expect(passed(runCheck(after({ board: { rows: 3, columns: 3 } }), kept))).toBe(false)
  })
  test('may hold the deal itself, where no seed gives it', () => {
    const deal = ['p1/a', 'p0/a', 'p0/a', 'p1/a']
    const own: Check = { ...kept, deal }
    const table = tableOf(game, own)
    expect(table.ok && table.value.cells).toEqual(
      cellsOf(
        settingsWith({ board: { rows: 2, columns: 2 }, deal: { way: 'arranged', arranged: deal } }),
        pairsNamed(2),
      ),
    )
    expect(tableOf(game, { ...own, deal: ['p1/a'] })).toMatchObject({ ok: false, problem: { at: 'deal' } })
  })
  test('inputs that run backwards are named', () => {
    expect(inOrder({ inputs: [inputs[1]!, inputs[0]!] })).toMatchObject({ at: 'inputs[1].at' })
    expect(inOrder({ inputs, until: 4899 })).toMatchObject({ at: 'until' })
    expect(inOrder({ inputs, until: 4900 })).toBeNull()
  })
})

describe('rough handling', () => {
  test('breaks nothing, whatever the rules', () => {
    fc.assert(
      fc.property(anySettings, fc.string({ minLength: 1, maxLength: 8 }), (settings, seed) => {
        const board = cellsOf(settings, pairsNamed(10), seed)
        const report = emptyReport()
        const stream = streamOf(seed, 'picking')
        for (let i = 0; i < 5; i++) handleRoughly(settings, board, seed, stream, report)
        expect(report.broke).toBeNull()
        expect(report.games).toBe(5)
        expect(NASTY.reduce((sum, kind) => sum + report.tried[kind], 0)).toBe(report.inputs)
      }),
    )
  })
  test('goes on for six inputs after the end of a game', () => {
    const stream = streamOf('rough', 'picking')
    const after = Array.from({ length: 40 }, () => {
      let count = 0
      handleRoughly(rules, cells, 'rough', stream, emptyReport(), (round) => {
        if (isOver(round)) count++
        return null
      })
      return count
    })
    expect(Math.max(...after)).toBe(6)
  })
  test('keeps the first game that breaks something, so that it can be played again', () => {
    const report = emptyReport()
    const stream = streamOf('rough', 'picking')
    const thirdFlip = (round: Round) => (round.flips > 2 ? ('two-up' as const) : null)
    expect(handleRoughly(rules, cells, 'rough', stream, report, thirdFlip)).toBe(false)
    expect(report.broke!.invariant).toBe('two-up')
    expect(replay(rules, cells, report.broke!).flips).toBe(3)
  })

  const spoiled: [string, (round: Round) => void][] = [
    ['two-up', (round) => (round.states[3] = 'up')],
    ['two-up', (round) => (round.second = round.first)],
    ['counts', (round) => round.flips++],
    ['counts', (round) => round.turns++],
    ['matched', (round) => (round.states[3] = 'matched')],
    ['twins', (round) => Object.assign(round, { matches: 1, misses: 0, judgedMatch: true })],
    ['score', (round) => (round.score = -1)],
    ['lives', (round) => (round.lives = 0)],
    ['turns', (round) => (round.rules.limits.turns = 1)],
    ['time', (round) => (round.at = 0)],
    ['clock', (round) => (round.clock.limit = 100)],
  ]
  test.each(spoiled)('notices broken %s', (name, spoil) => {
    const own = structuredClone(rules)
    const round = newRound(own, cells)
    const watch = newWatch()
    apply(round, inputs[0]!)
    expect(broken(round, watch)).toBeNull()
    apply(round, inputs[1]!)
    spoil(round)
    expect(broken(round, watch)).toBe(name)
  })
  test('notices an end that is taken back', () => {
    const round = replay(rules, cells, { inputs })
    const watch = newWatch()
    expect(broken(round, watch)).toBeNull()
    round.phase = 'lost'
    expect(broken(round, watch)).toBe('end')
  })
})

test('who of several players won', () => {
  const player = (score: number, matches: number) => ({ score, matches, misses: 0 })
  expect(winners([player(100, 1), player(250, 1)])).toEqual([1])
  expect(winners([player(100, 2), player(100, 1)])).toEqual([0])
  expect(winners([player(100, 1), player(100, 1), player(0, 0)])).toEqual([0, 1])
})
