import { describe, expect, jest, test } from '@jest/globals'
import { advance, apply } from '../core/play/machine.ts'
import { DEFAULTS } from '../core/settings/settings.ts'
import { resultOf } from '../core/play/result.ts'
import { newRound } from '../core/play/new-round.ts'
import { cellsOf, gameWith, pairsNamed, settingsWith } from '../core/testing/games.ts'
import { english } from '../core/texts/english.ts'
import { newSpeech } from '../core/texts/speech.ts'
import { en } from '../core/texts/words/en.ts'
import { keepBest, readBest, type Keep } from './best.ts'
import { neighbour } from './input.ts'
import { soundOf } from './sound.ts'
import { newOpenKeeper, readOpen, type OpenGame } from './open-game.ts'
import { act, dealTable, newTable, nextDue, nextLevel, runAt, standTable, tick, type Table } from './table.ts'
import { cardLabel, eventLine, eventWords, isMinor, tale } from './words.ts'

const settings = settingsWith({
  board: { rows: 2, columns: 3, gaps: ['B1', 'C2'] },
  deal: { way: 'in-order' },
})
const game = gameWith(
  { board: { rows: 2, columns: 3, gaps: ['B1', 'C2'] }, deal: { way: 'in-order' } },
  pairsNamed(2, (i) => i === 1),
)

/** A table with a round of four cards: A1 and C1 are twins, A2 and B2 related ones. */
function table(): Table {
  const made = newTable(game, (name) => name, game.levels[0]!, english)
  made.settings = settings
  made.round = newRound(settings, cellsOf(settings, game.deck.pairs))
  return made
}
const press = (one: Table, at: number, cell: number): void => apply(one.round!, { at, do: 'press', cell })

describe('what the table says', () => {
  test('a card tells what it shows only while that can be seen', () => {
    const one = table()
    expect(cardLabel(one, 3)).toBe('A2, face down')
    expect(cardLabel(one, 3, true)).toBe('A2, A1')
    press(one, 0, 3)
    expect(cardLabel(one, 3)).toBe('A2, A1')
    press(one, 10, 4)
    advance(one.round!, 2000)
    expect(cardLabel(one, 4)).toBe('B2, B1, matched')
  })

  test('a press that turns nothing is told by how the card lies, and an own win text is said', () => {
    const one = table()
    press(one, 0, 0)
    press(one, 1, 0)
    const said = (): string => eventWords(one, one.round!.events!.at(-1)!)
    expect(said()).toBe('A1, A0')
    press(one, 2, 1)
    expect(said()).toBe('B1, no card')
    const speech = newSpeech('en', { ...en, won: 'Every clock ticks!' })
    const own: Table = { ...table(), speech, game: structuredClone(game) }
    own.game.deck.pairs[0]!.a.alt = 'A cog.'
    press(own, 0, 0)
    expect(eventWords(own, own.round!.events!.at(-1)!)).toBe('A1: A cog.')
    expect(eventWords(own, { at: 0, phase: 'won', kind: 'won', bonus: 0 })).toBe('Every clock ticks!')
    expect(eventWords(one, { at: 0, phase: 'won', kind: 'won', bonus: 0 })).toBe('All pairs found')
    expect(
      isMinor({ at: 0, phase: 'ready', kind: 'settled', first: 0, second: 1, to: 'down', by: 'time' }),
    ).toBe(true)
  })

  test('events are spoken and shown', () => {
    const one = table()
    press(one, 0, 0)
    press(one, 1, 3)
    press(one, 1100, 3)
    press(one, 1101, 4)
    press(one, 2000, 0)
    press(one, 2001, 2)
    const events = one.round!.events!
    expect(events.map((event) => eventWords(one, event)).filter(Boolean)).toEqual([
      'A1: A0.',
      'A2: A1.',
      'No match.',
      'Turned back.',
      'A2: A1.',
      'B2: B1.',
      'A match, by luck.',
      'A1: A0.',
      'C1: A0.',
      'A match, by luck.',
      'All pairs found',
    ])
    expect(events.flatMap((event) => eventLine(english, event)?.text || [])).toEqual([
      'Not a pair',
      'A lucky pair!',
      'A lucky pair!',
    ])
    expect(events.flatMap((event) => soundOf(event, DEFAULTS.sound) ?? [])).toEqual([
      'flip',
      'flip',
      'miss',
      'flip',
      'flip',
      'lucky',
      'flip',
      'flip',
      'lucky',
      'win',
    ])
    // the second match in a row is heard as a streak, where the level has a sound for one
    const streaks = events.flatMap((event) => soundOf(event, { streak: 'family' }) ?? [])
    expect(streaks.slice(-4)).toEqual(['flip', 'flip', 'streak', 'win'])
    expect(tale(english, resultOf(one.round!))).toBe('2 lucky pairs, and not one slip of memory.')
  })

  test.each([
    [0, true, '0:00'],
    [1, true, '0:01'],
    [59_001, true, '1:00'],
    [59_999, false, '0:59'],
    [605_000, false, '10:05'],
  ])('%i ms (left: %s) is %s', (ms, left, text) => expect(english.clock(ms, left)).toBe(text))
})

describe('keys', () => {
  test.each([
    [0, 'ArrowRight', 2],
    [2, 'ArrowLeft', 0],
    [0, 'ArrowDown', 3],
    [4, 'ArrowUp', 4],
    [3, 'ArrowLeft', 3],
    [4, 'ArrowRight', 4],
    [2, 'Home', 0],
    [3, 'End', 4],
    [0, 'x', -1],
  ])('from cell %i, %s leads to %i, over gaps and never off the board', (cell, key, to) => {
    expect(neighbour(table(), cell, key)).toBe(to)
  })
})

describe('best results', () => {
  const memory = (): Keep & { text: string | null } => ({
    text: null,
    read() {
      return this.text
    },
    write(text) {
      this.text = text
    },
  })
  const won = (score: number, turns: number, stars: number | null = null) => ({
    ...resultOf(table().round!),
    outcome: 'won' as const,
    score,
    turns,
    stars,
  })
  test('the better one stays: by stars, then score, then turns', () => {
    const keep = memory()
    expect(keepBest(keep, 'a', won(100, 9, 1))).toBe(false)
    expect(keepBest(keep, 'a', won(90, 5, 1))).toBe(false)
    expect(keepBest(keep, 'a', won(50, 9, 2))).toBe(true)
    expect(keepBest(keep, 'a', won(50, 8, 2))).toBe(true)
    expect(readBest(keep)).toEqual({ a: { stars: 2, score: 50, turns: 8, time: 0 } })
  })
  test('a lost game is not kept, and broken memory is no memory', () => {
    const keep = memory()
    keepBest(keep, 'a', { ...won(9, 9), outcome: 'lost' })
    expect(keep.text).toBeNull()
    keep.text = '{torn'
    expect(readBest(keep)).toEqual({})
  })
})

test('the next level is the next rung of the ladder', () => {
  const one = newTable(
    { ...game, levels: [game.levels[0]!, { id: 'b', name: 'B' }] },
    (name) => name,
    game.levels[0]!,
    english,
  )
  expect(nextLevel(one)?.id).toBe('b')
  one.level = one.game.levels[1]!
  expect(nextLevel(one)).toBeUndefined()
})

describe('a game that was left open', () => {
  const kept = (change: Partial<OpenGame> | string): OpenGame | null => {
    const open: OpenGame = { level: 'first', seed: 'tick', inputs: [{ at: 0, do: 'press', cell: 0 }], at: 10 }
    const text = typeof change === 'string' ? change : JSON.stringify({ ...open, ...change })
    return readOpen({ read: () => text, write: () => undefined }, game)
  }
  test('is taken up where all of it can be read', () =>
    expect(kept({})).toMatchObject({ seed: 'tick', at: 10 }))
  test.each([
    ['a seed that is none', { seed: '' }],
    ['a seed that is too long', { seed: 'x'.repeat(500) }],
    ['a seed that is no text', { seed: 7 as unknown as string }],
    ['a level that is gone', { level: 'gone' }],
    ['no inputs', { inputs: null as unknown as [] }],
    ['a time that is none', { at: 0.5 }],
    ['a torn text', '{"level":'],
    ['nothing', ''],
  ])('is as good as none with %s', (_what, change) => expect(kept(change)).toBeNull())

  test('is kept while it is open, and forgotten at its end', () => {
    const texts: string[] = []
    const one = table()
    const keeper = newOpenKeeper({ read: () => null, write: (text) => texts.push(text) }, one)
    keeper.now()
    const input = { at: 0, do: 'press', cell: 0 } as const
    one.inputs.push(input)
    apply(one.round!, input)
    keeper.now()
    for (const [at, cell] of [
      [1, 2],
      [1000, 3],
      [1001, 4],
    ] as const)
      press(one, at, cell)
    keeper.now()
    expect(texts.map((text) => text && (JSON.parse(text) as OpenGame).inputs)).toEqual([[input], ''])
  })
})

test('an open game is kept at its first change, and once a second at most from then on', () => {
  jest.useFakeTimers()
  try {
    const kept: number[] = []
    const write = (text: string): void => void kept.push((JSON.parse(text) as OpenGame).inputs.length)
    const one = table()
    const keeper = newOpenKeeper({ read: () => null, write }, one)
    const changed = (after: number): void => {
      jest.advanceTimersByTime(after)
      one.inputs.push({ at: 0, do: 'press', cell: 0 })
      keeper.changed()
      jest.advanceTimersByTime(1)
    }
    // a deal alone is nothing to keep, and holds nothing up
    keeper.changed()
    jest.advanceTimersByTime(1)
    changed(0)
    expect(kept).toEqual([1])
    changed(100)
    changed(100)
    expect(kept).toEqual([1])
    jest.advanceTimersByTime(800)
    expect(kept).toEqual([1, 3])
    changed(2000)
    expect(kept).toEqual([1, 3, 4])
  } finally {
    jest.useRealTimers()
  }
})

test('the end is told after the wait that the rules ask for', () => {
  const one = table()
  one.settings = { ...one.settings, finish: { ...one.settings.finish, wait: 1200 } }
  for (const [at, cell] of [
    [0, 0],
    [1, 2],
    [1000, 3],
    [1001, 4],
  ] as const)
    press(one, at, cell)
  expect(one.round!.phase).toBe('won')
  const tickAt = (ms: number): boolean => {
    one.startedAt = performance.now() - ms
    return tick(one)
  }
  expect(tickAt(1001 + 1000)).toBe(false)
  expect(one.endsAt).toBe(1001 + 1200)
  expect(tickAt(1001 + 1200)).toBe(true)
})

describe('time on the table', () => {
  /** The table as it is so many ms after the deal. */
  const at = (one: Table, ms: number): Table => {
    one.startedAt = performance.now() - ms / one.speed
    return one
  }
  test('passes before an input counts, also where no frame was drawn', () => {
    const one = table()
    act(at(one, 0), { do: 'press', cell: 0 })
    act(at(one, 10), { do: 'press', cell: 3 })
    expect(one.round!.misses).toBe(1)
    // the look of 1 s is over, though nothing was drawn since
    act(at(one, 1500), { do: 'press', cell: 4 })
    expect(one.round!.states[0]).toBe('down')
    expect(one.round!.states[4]).toBe('up')
    expect(one.inputs.map((input) => Math.round(input.at / 100))).toEqual([0, 0, 15])
  })
  test('is not shortened by a change of its speed, and stands while a moment is looked at', () => {
    const one = at(table(), 3000)
    runAt(one, 8)
    expect(one.speed).toBe(8)
    act(one, { do: 'press', cell: 0 })
    expect(one.inputs[0]!.at).toBeGreaterThanOrEqual(3000)
    standTable(one, one.inputs, 3000)
    expect(one.held).toBe(true)
    tick(at(one, 90_000))
    expect(one.round!.at).toBeLessThan(4000)
  })
  test('the next event is the end of a look, or now where nothing is due', () => {
    const one = at(table(), 0)
    expect(nextDue(one)).toBe(one.round!.at)
    act(at(one, 0), { do: 'press', cell: 0 })
    act(at(one, 10), { do: 'press', cell: 3 })
    expect(nextDue(one)).toBe(one.round!.nextDue)
    expect(nextDue(one) - one.round!.at).toBeGreaterThan(900)
  })
  test('nobody presses for a mind', () => {
    const one = at(table(), 0)
    one.seated = { haveTurn: true, dueAt: 500, next: () => null }
    act(one, { do: 'press', cell: 0 })
    act(one, { do: 'turn-back' })
    expect([one.round!.flips, one.inputs]).toEqual([0, []])
    act(one, { do: 'pause' })
    expect(one.round!.phase).toBe('paused')
    expect(nextDue(one)).toBe(500)
  })
  test('a deal begins all of it anew, and a moment that is looked at has other cards', () => {
    const one = table()
    Object.assign(one, {
      laysBoard: false,
      isRecord: true,
      below: 'pause',
      briefUntil: 5,
      endsAt: 9,
      held: true,
    })
    standTable(one, [], 0)
    expect([one.laysBoard, one.drawsCards]).toEqual([false, true])
    dealTable(one, one.level, 'tick')
    expect(one).toMatchObject({ laysBoard: true, isRecord: false, below: 'none', held: false, inputs: [] })
    expect([one.briefUntil, one.endsAt]).toEqual([NaN, NaN])
  })
})
