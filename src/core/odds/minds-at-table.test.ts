import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { Cells } from '../deal/deal.ts'
import { cardsMatch } from '../deck/card.ts'
import type { Event, Input } from '../play/events.ts'
import { apply } from '../play/machine.ts'
import { newRound } from '../play/new-round.ts'
import { isOver, NEVER, type Round } from '../play/round.ts'
import { READY_MINDS, type Mind } from '../settings/mind.ts'
import type { Settings } from '../settings/settings.ts'
import { anySettings, cellsOf, pairsNamed, settingsWith } from '../testing/games.ts'
import { MindsAtTable } from './minds-at-table.ts'
import { playMinds } from './play-minds.ts'

const EVERYDAY = READY_MINDS.find(({ id }) => id === 'everyday')!
const anyMind = fc.constantFrom(...READY_MINDS)
const anySeats = fc.array(anyMind, { minLength: 1, maxLength: 4 })
const seated = (settings: Settings, seats: readonly unknown[]): Settings => ({
  ...settings,
  players: { ...settings.players, names: seats.map((_, i) => `Player ${i + 1}`) },
})
const dealt = (settings: Settings): Cells => cellsOf(settings, pairsNamed(10))

/** Lets minds press for so many turns at most, and till nobody presses any more. Out: what they pressed. */
function letPlay(table: MindsAtTable, round: Round, turns = 300): Input[] {
  const inputs: Input[] = []
  while (!isOver(round) && round.turns < turns) {
    const input = table.next(NEVER)
    if (!input) break
    inputs.push(input)
    apply(round, input)
  }
  return inputs
}
const played = ({ events }: Round): Event[] => events!.filter(({ kind }) => kind !== 'refused')
const upTo = (events: Event[], turns: number): Event[] => {
  const end = events.findIndex((event) => 'turn' in event && event.turn > turns)
  return end < 0 ? events : events.slice(0, end)
}

describe('minds at a table', () => {
  test('that have all its seats play the very game that is told of in Odds', () => {
    fc.assert(
      fc.property(anySettings, anySeats, fc.string(), (rules, minds, seed) => {
        const settings = seated(rules, minds)
        const cells = dealt(settings)
        const told = newRound(settings, cells)
        playMinds(told, minds, seed, 3)
        const round = newRound(settings, cells)
        letPlay(new MindsAtTable(minds, round, seed, 3), round)
        const turns = Math.min(299, told.turns)
        expect(upTo(played(round), turns)).toEqual(upTo(played(told), turns))
        if (told.turns < 300) expect(isOver(round)).toBe(isOver(told))
      }),
      { numRuns: 300 },
    )
  })

  test('go on as they would have when their game is taken up in the middle', () => {
    fc.assert(
      fc.property(anySettings, anySeats, fc.nat({ max: 60 }), (rules, minds, cut) => {
        const settings = seated(rules, minds)
        const cells = dealt(settings)
        const whole = newRound(settings, cells)
        const inputs = letPlay(new MindsAtTable(minds, whole, 'seed', 1), whole)
        const round = newRound(settings, cells)
        for (const input of inputs.slice(0, cut)) apply(round, input)
        letPlay(new MindsAtTable(minds, round, 'seed', 1), round)
        expect(round.events).toEqual(whole.events)
      }),
    )
  })

  test('never press by what nobody has seen yet', () => {
    fc.assert(
      fc.property(anyMind, fc.nat({ max: 12 }), fc.nat({ max: 1000 }), (mind, turns, turned) => {
        const settings = settingsWith({ board: { rows: 4, columns: 5 } })
        const cells = dealt(settings)
        const pressed = (on: Cells): Input[] => {
          const round = newRound(settings, on)
          return letPlay(new MindsAtTable([mind], round, 'seed', 1), round, turns)
        }
        const before = pressed(cells)
        const seen = new Set(before.flatMap((input) => ('cell' in input ? [input.cell] : [])))
        const unseen = [...cells.keys()].filter((cell) => !seen.has(cell))
        // the cards that nobody has seen lie in other places
        const other = Array.from(cells)
        unseen.forEach((cell, i) => (other[cell] = cells[unseen[(i + turned) % unseen.length]!]!))
        expect(pressed(other)).toEqual(before)
      }),
    )
  })

  test('wait while a person has the turn, and press nothing of theirs', () => {
    const settings = settingsWith({ players: { names: ['Ann', 'Everyday'], minds: [null, 'everyday'] } })
    const round = newRound(settings, dealt(settings))
    const table = new MindsAtTable([null, EVERYDAY], round, 'seed', 1)
    expect([table.haveTurn, table.next(NEVER)]).toEqual([false, null])
    const [one, other] = missOf(round)
    apply(round, { at: 500, do: 'press', cell: one })
    expect(table.haveTurn).toBe(false)
    apply(round, { at: 900, do: 'press', cell: other })
    expect(table.haveTurn).toBe(true)
    // not before the missed cards have turned back
    const { missLook } = settings.turn
    expect(table.next(900 + missLook)).toBeNull()
    const inputs = letPlay(table, round)
    expect(inputs.length).toBeGreaterThanOrEqual(2)
    expect(inputs[0]!.at).toBeGreaterThan(900 + missLook)
    expect(round.events!.filter(({ kind }) => kind === 'refused')).toEqual([])
  })

  test('remember what persons turned over', () => {
    const perfect: Mind = READY_MINDS[0]!
    const settings = settingsWith({ players: { names: ['Ann', 'Perfect'], minds: [null, 'perfect'] } })
    const round = newRound(settings, dealt(settings))
    const table = new MindsAtTable([null, perfect], round, 'seed', 1)
    const [one, other] = missOf(round)
    apply(round, { at: 500, do: 'press', cell: one })
    apply(round, { at: 900, do: 'press', cell: other })
    const [first, second] = letPlay(table, round, 2)
    const twins = [one, other].map((cell) => twinOf(round, cell))
    const cellOf = (input: Input | undefined): number => (input && 'cell' in input ? input.cell : -1)
    // its first card is one that nobody has seen; where that is a twin of a seen one, it takes the pair
    const at = twins.indexOf(cellOf(first))
    expect([one, other]).not.toContain(cellOf(first))
    if (at >= 0) expect(cellOf(second)).toBe([one, other][at])
    else expect([one, other]).not.toContain(cellOf(second))
  })

  test('have seen a card that a person turned back alone, and go on by themselves', () => {
    const settings = settingsWith({
      players: { names: ['Ann', 'Perfect'], minds: [null, 'perfect'] },
      turn: { onOpen: 'turn-back' },
    })
    const round = newRound(settings, dealt(settings))
    const table = new MindsAtTable([null, READY_MINDS[0]!], round, 'seed', 1)
    const [one, other] = missOf(round)
    // its twin is seen alone, then the person misses with another pair
    const press = (at: number, cell: number): void => apply(round, { at, do: 'press', cell })
    press(100, twinOf(round, one))
    press(200, twinOf(round, one))
    expect(table.haveTurn).toBe(false)
    press(300, one)
    press(400, other)
    const taken = letPlay(table, round, 2).map((input) => ('cell' in input ? input.cell : -1))
    expect(new Set(taken)).toEqual(new Set([one, twinOf(round, one)]))
  })

  test('press later by as much as the game was paused', () => {
    const settings = seated(settingsWith({ turn: { firstLook: 2000 } }), [EVERYDAY, EVERYDAY])
    const cells = dealt(settings)
    const plain = newRound(settings, cells)
    const before = letPlay(new MindsAtTable([EVERYDAY, EVERYDAY], plain, 'seed', 1), plain)
    const round = newRound(settings, cells)
    const table = new MindsAtTable([EVERYDAY, EVERYDAY], round, 'seed', 1)
    apply(round, { at: 1500, do: 'pause' })
    expect(table.next(NEVER)).toBeNull()
    apply(round, { at: 11_500, do: 'resume' })
    const after = letPlay(table, round)
    expect(after).toEqual(before.map((input) => ({ ...input, at: input.at + 10_000 })))
  })
})

/** The cell of the card that matches the one in a cell. */
const twinOf = ({ cells }: Round, cell: number): number =>
  cells.findIndex((card, i) => i !== cell && cardsMatch(card, cells[cell]!))
/** Two cells whose cards do not match. */
function missOf(round: Round): [number, number] {
  const other = [1, 2].find((cell) => cell !== twinOf(round, 0))!
  return [0, other]
}
