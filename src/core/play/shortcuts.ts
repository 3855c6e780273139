import { cardsMatch, NO_CARD } from '../deck/card.ts'
import { timeLeft } from './clock.ts'
import type { Input } from './events.ts'
import { advance, apply, isWaitingForButton } from './machine.ts'
import { isOver, LAST_TIME, NEVER, pairsLeft, type Round } from './round.ts'

/*
 * Shortcuts for an author to bring a game to the moment to be tried. They press like anyone else, as soon as the rules
 * let them, so everything they do is on the tape and can be played again.
 */

/** What was pressed, and until when time passed, in ms since the deal. */
export type Shortcut = { inputs: Input[]; at: number }

/** A hand that presses on a round, changing it, as soon as each press would count. */
function handOn(round: Round): { inputs: Input[]; press(cell: number): void; ready(): void } {
  const inputs: Input[] = []
  const give = (input: Input): void => {
    inputs.push(input)
    apply(round, input)
  }
  const ready = (): void => {
    if (round.phase === 'paused') give({ at: round.at, do: 'resume' })
    if (isWaitingForButton(round)) give({ at: round.at, do: 'turn-back' })
    if (round.dueAt !== NEVER) advance(round, round.dueAt)
  }
  return {
    inputs,
    ready,
    press(cell) {
      ready()
      const { flips } = round
      give({ at: round.at, do: 'press', cell })
      // the press may have been used up for turning missed cards back
      if (round.flips === flips && !isOver(round)) give({ at: round.at, do: 'press', cell })
    },
  }
}

const downCells = (round: Round): number[] =>
  round.states.flatMap((state, cell) => (state === 'down' && round.cells[cell] !== NO_CARD ? [cell] : []))

/** Takes pair after pair until one is left, or the game ends first. */
export function toLastPair(round: Round): Shortcut {
  const hand = handOn(round)
  while (!isOver(round)) {
    hand.ready()
    // with a card up its own pair is taken first; that may be the last but one
    const first = round.phase === 'one-up' ? round.first : -1
    if (pairsLeft(round) <= 1 || isOver(round)) break
    const down = downCells(round)
    const one = first >= 0 ? first : down[0]!
    const twin = down.find((cell) => cell !== one && cardsMatch(round.cells[one]!, round.cells[cell]!))!
    if (first < 0) hand.press(one)
    hand.press(twin)
  }
  return { inputs: hand.inputs, at: round.at }
}

/**
 * Lets time pass until this many ms are left on a clock that counts down; turns a card first if the clock waits for
 * that.
 */
export function toLastSeconds(round: Round, msLeft: number): Shortcut {
  const hand = handOn(round)
  if (!isOver(round) && timeLeft(round) !== null) {
    hand.ready()
    if (!round.clock.started) hand.press(downCells(round)[0]!)
    // a clock that stands still in a look needs more than one step
    for (let now = timeLeft(round)!; now > msLeft && !isOver(round); now = timeLeft(round)!) {
      const before = round.at
      advance(round, round.clock.running ? round.at + now - msLeft : round.nextDue)
      if (round.at === before || round.at === LAST_TIME) break
    }
  }
  return { inputs: hand.inputs, at: round.at }
}

/** Misses once, with cards seen before if there are any, so that a life that only slips cost is lost too. */
export function missOnce(round: Round): Shortcut {
  const hand = handOn(round)
  hand.ready()
  const down = downCells(round)
  const unseenFirst = (cell: number): number => (round.seenIn[cell] ? 0 : 1)
  const one = round.phase === 'one-up' ? round.first : down[0]
  if (one !== undefined && !isOver(round)) {
    const others = down.filter((cell) => cell !== one && !cardsMatch(round.cells[one]!, round.cells[cell]!))
    const other = others.sort((a, b) => unseenFirst(a) - unseenFirst(b))[0]
    if (other !== undefined) {
      if (round.phase !== 'one-up') hand.press(one)
      hand.press(other)
    }
  }
  return { inputs: hand.inputs, at: round.at }
}
