import { describe, expect, test } from '@jest/globals'
import type { Own } from '../settings/levels.ts'
import { gameWith, pairsNamed } from '../testing/games.ts'
import { auditLog } from './log.ts'

/** Logs of a 2 × 2 board, A1 and B1 twins, A2 and B2 twins. */
const DEAL = { level: 'first', seed: 's', rows: 2, columns: 2, cells: ['p0/a', 'p0/a', 'p1/a', 'p1/a'] }
const press = (at: number, cell: string, shows?: string | null) => ({ at, do: 'press', cell, shows })
const MISS = [press(100, 'A1', 'p0/a'), press(500, 'A2', 'p1/a')]

function audit(lines: (object | string)[], own: Own = {}) {
  const text = [DEAL, ...lines]
    .map((line) => (typeof line === 'string' ? line : JSON.stringify(line)))
    .join('\n')
  const read = auditLog(gameWith({ board: { rows: 2, columns: 2 }, ...own }, pairsNamed(2)), text)
  if (!read.ok) throw new Error(read.problem.message)
  return read.value
}

describe('a log of another program', () => {
  test('that kept the rules', () => {
    const lines = [
      ...MISS,
      press(900, 'B1', null),
      { at: 1499, see: { A1: 'up', A2: 'up', B1: 'down' } },
      { at: 1500, see: { A1: 'down', A2: 'down' } },
      press(2000, 'A1', 'p0/a'),
      press(2100, 'B1', 'p0/a'),
      press(3000, 'B2'),
      press(3100, 'A2', 'p1/a'),
      { at: 3100, end: 'won' },
    ]
    expect(audit(lines)).toEqual({ level: 'first', lines: 11, torn: [], presses: 7, breach: null })
  })

  test('that turned the open card back, where that is a rule', () => {
    const turnsBack: Own = { turn: { onOpen: 'turn-back' } }
    const lines = [
      press(100, 'A1', 'p0/a'),
      press(200, 'A1', null),
      { at: 200, see: { A1: 'down' } },
      press(300, 'B1', 'p0/a'),
      press(400, 'A1', 'p0/a'),
      { at: 400, see: { A1: 'up', B1: 'up' } },
    ]
    expect(audit(lines, turnsBack).breach).toBeNull()
    // where it is not, the card lies open still
    expect(audit(lines).breach).toMatchObject({ line: 4 })
  })

  test.each<[string, (object | string)[], number, RegExp, Own?]>([
    [
      'an open card that turned up once more',
      [press(1, 'A1', 'p0/a'), press(2, 'A1', 'p0/a')],
      3,
      /A1 turned up p0\/a, but that press only turns the open card back/,
      { turn: { onOpen: 'turn-back' } },
    ],
    [
      'a third card turned',
      [...MISS, press(900, 'B1', 'p0/a')],
      4,
      /B1 turned up p0\/a, but the board is locked/,
    ],
    ['the same card twice', [press(1, 'A1', 'p0/a'), press(2, 'A1', 'p0/a')], 3, /face up already/],
    ['a dead press', [press(1, 'A1', null)], 2, /stayed as it was, but by the rules it turns up p0\/a/],
    ['another card than was dealt', [press(1, 'A1', 'p1/a')], 2, /but p0\/a was dealt there/],
    ['a cell that is not there', [press(1, 'D9', 'p0/a')], 2, /there is no card/],
    ['cards back too soon', [...MISS, { at: 1400, see: { A1: 'down' } }], 4, /is face up until 1500 ms/],
    ['a missed card that stays', [...MISS, { at: 1500, see: { A2: 'up' } }], 4, /is face down at 1500 ms/],
    ['a win too soon', [press(1, 'A1'), press(2, 'B1'), { at: 3, end: 'won' }], 4, /it goes on/],
    [
      'a loss that is none',
      [press(1, 'A1'), press(2, 'A2'), { at: 3, end: 'won' }],
      4,
      /is lost by lives/,
      { limits: { lives: 1 } },
    ],
    ['time that runs backwards', [press(100, 'A1'), press(99, 'A2')], 3, /earlier than the line before/],
    [
      'a press in the first look',
      [press(5, 'A1', 'p0/a')],
      2,
      /first look is not over/,
      { turn: { firstLook: 9 } },
    ],
    ['a press in a pause', [{ at: 1, do: 'pause' }, press(5, 'A1', 'p0/a')], 3, /paused/],
    [
      'a press on the board that only turns back',
      [...MISS, press(600, 'B1', 'p0/a')],
      4,
      /only turns the missed cards back/,
      { turn: { duringLook: 'skip' } },
    ],
  ])('%s', (_what, lines, line, message, own = {}) => {
    const { breach } = audit(lines, own)
    expect(breach).toMatchObject({ line })
    expect(breach!.message).toMatch(message)
  })

  test('a torn line is told and passed over', () => {
    const read = audit([MISS[0]!, '{"at": 3, "do', { at: 5, do: 'jump' }, MISS[1]!])
    expect(read.torn).toEqual([
      expect.stringMatching(/^line 3: /),
      expect.stringMatching(/^line 4, do: one of/),
    ])
    expect(read).toMatchObject({ presses: 2, breach: null })
  })

  test.each<[string, string, RegExp]>([
    ['nothing', '\n\n', /empty/],
    ['no deal', JSON.stringify(MISS[0]), /first line must be the deal/],
    ['a level that is not there', JSON.stringify({ ...DEAL, level: 'x' }), /no level "x"/],
    [
      'a deal of another board',
      JSON.stringify({ ...DEAL, cells: ['p0/a', 'p0/a'] }),
      /names 2 cells; the board has 4/,
    ],
  ])('%s is an error that names its place', (_what, text, message) => {
    const read = auditLog(gameWith({ board: { rows: 2, columns: 2 } }, pairsNamed(2)), text)
    expect(read.ok).toBe(false)
    if (!read.ok) expect(read.problem.message).toMatch(message)
  })
})
