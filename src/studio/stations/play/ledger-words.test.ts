import { describe, expect, test } from '@jest/globals'
import { replay } from '../../../core/play/replay.ts'
import { cellsOf, pairsNamed, settingsWith } from '../../../core/testing/games.ts'
import { eventWords, ledgerJson, ledgerText, sights } from './ledger-words.ts'

const settings = settingsWith({
  board: { rows: 2, columns: 2 },
  deal: { way: 'in-order' },
  turn: { firstLook: 100, onMatch: 'leave' },
  clock: { mode: 'down', missPenalty: 1500 },
  limits: { lives: 3 },
  score: { miss: 20, floorAtZero: false, perLifeLeft: 5 },
})
const press = (at: number, cell: number) => ({ at, do: 'press' as const, cell })
const round = replay(settings, cellsOf(settings, pairsNamed(2)), {
  inputs: [
    press(100, 0),
    press(200, 2),
    press(300, 7),
    press(2000, 0),
    press(2100, 1),
    press(4000, 2),
    press(4100, 3),
  ],
})

describe('the ledger', () => {
  test('tells what happened, in lines', () => {
    expect(round.events!.map((event) => eventWords(event, 2))).toEqual([
      'first look over',
      'flip A1',
      'flip A2',
      'miss A1 A2, fresh, −20',
      'life lost, 2 left',
      'clock −1.5 s',
      'B4 refused: locked',
      'A1 A2 turned back',
      'flip A1',
      'flip B1',
      'match A1 B1, glimpsed, +100',
      'A1 B1 left',
      'flip A2',
      'flip B2',
      'match A2 B2, glimpsed, +150',
      'won, +10',
    ])
  })
  test('counts how often each card was seen, and when last', () => {
    expect(sights(round.events!, 4)).toEqual([
      { times: 2, last: 2 },
      { times: 1, last: 2 },
      { times: 2, last: 3 },
      { times: 1, last: 3 },
    ])
  })
  test('goes out as text and as JSON', () => {
    const rows = [
      { cell: 0, name: 'A1', words: 'Cog', state: 'gone' as const, order: '', times: 2, last: 2 },
      { cell: 1, name: 'B1', words: 'Mantel clock', state: 'down' as const, order: '', times: 0, last: 0 },
    ]
    const lines = ledgerText(rows, round.events!.slice(0, 2), 2).split('\n')
    expect(lines.slice(0, 4)).toEqual([
      'cell  face          state    seen  turn',
      'A1    Cog           gone        2     2',
      'B1    Mantel clock  down        0',
      '',
    ])
    expect(lines[4]).toBe('    0.100  first look over')
    expect(JSON.parse(ledgerJson(rows, round.events!, 's', 'first'))).toMatchObject({
      seed: 's',
      cards: [{ cell: 'A1', face: 'Cog' }, { cell: 'B1' }],
      events: round.events,
    })
  })
})
