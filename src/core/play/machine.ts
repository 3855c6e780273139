import { faceIndex } from '../deck/card.ts'
import { isLocked, setClock, setClockForLook, startClock } from './clock.ts'
import { judge, lose, passTurn, tell } from './judge.ts'
import type { Input, Refusal } from './events.ts'
import { LAST_TIME, NEVER, type Round } from './round.ts'

/*
 * The turn machine. Everything that plays drives it: the table, replays, kept checks and simulated players.
 *
 *   first-look → ready → one-up → judged → ready … → won | lost,  and paused from any phase but the last two
 *
 * The outcome is decided at the press. After the end, the two cards of the last turn still settle.
 */

/**
 * Lets time pass up to `at` (ms since the deal), but not past LAST_TIME: everything due by then happens, in order of
 * time.
 */
export function advance(round: Round, at: number): void {
  const until = at > LAST_TIME ? LAST_TIME : at
  while (round.nextDue <= until) {
    round.at = round.nextDue
    if (round.dueAt <= round.at) fallDue(round)
    else lose(round, 'clock')
  }
  if (until > round.at) round.at = until
}

/** Takes one input. Time passes first; an input from the past is taken at the round's current time. */
export function apply(round: Round, input: Input): void {
  if (input.do === 'press') return press(round, input.at, input.cell)
  advance(round, input.at)
  if (input.do === 'pause') pause(round)
  else if (input.do === 'resume') resume(round)
  else if (isWaitingForButton(round)) settle(round, 'button')
  advance(round, round.at)
}

/**
 * A press on a cell at a time: the same as applying that input. Any number may be given as a cell; most are refused.
 */
export function press(round: Round, at: number, cell: number): void {
  if (round.nextDue <= at || at > LAST_TIME) advance(round, at)
  else if (at > round.at) round.at = at
  const { phase } = round
  if ((phase === 'ready' || phase === 'one-up') && round.states[cell] === 'down') flip(round, cell)
  else if (!(phase === 'judged' ? pressEndsLook(round, cell) : pressTurnsBack(round, cell)))
    refuse(round, cell)
  // a look that takes no time is over at once
  if (round.nextDue <= round.at) advance(round, round.at)
}

/** Whether two missed cards lie open until the player turns them back with the button. */
export function isWaitingForButton(round: Round): boolean {
  return round.phase === 'judged' && !round.judgedMatch && round.rules.turn.onMiss === 'button'
}

/** Whether two missed cards lie open until the next press. */
export function isWaitingForPress(round: Round): boolean {
  return round.phase === 'judged' && round.dueAt === NEVER && !isWaitingForButton(round)
}

/**
 * A press while two judged cards lie open, if the rules let it turn them back. Out: whether it did; under
 * `skip-and-flip` it then counts as an ordinary press, else it is used up.
 */
function pressEndsLook(round: Round, cell: number): boolean {
  const { duringLook } = round.rules.turn
  if (!isWaitingForPress(round) && (duringLook === 'wait' || isWaitingForButton(round))) return false
  settle(round, 'press')
  if (duringLook === 'skip-and-flip') press(round, round.at, cell)
  return true
}

/** A press on the one open card, if the rules let it turn that back. Out: whether it did. */
function pressTurnsBack(round: Round, cell: number): boolean {
  if (round.phase !== 'one-up' || cell !== round.first || round.rules.turn.onOpen !== 'turn-back')
    return false
  round.states[cell] = 'down'
  round.first = -1
  round.phase = 'ready'
  round.turnBacks++
  // it counts as seen from now on, whatever turn this is
  if (round.seenIn[cell] === round.turns + 1) {
    round.seenIn[cell] = -1
    round.seenFaces[faceIndex(round.cells[cell]!)]!++
  }
  if (round.events) tell(round, { kind: 'turned-back', cell })
  return true
}

function refuse(round: Round, cell: number): void {
  const reason = refusal(round, cell)!
  round.refused[reason] = (round.refused[reason] ?? 0) + 1
  if (round.events) tell(round, { kind: 'refused', cell, reason })
}

/** Why a press on this cell would be refused now, or null. The order is that of REFUSALS. */
function refusal(round: Round, cell: number): Refusal | null {
  switch (round.phase) {
    case 'won':
    case 'lost':
      return 'finished'
    case 'paused':
      return 'paused'
    case 'first-look':
      return 'first-look'
    case 'judged':
      if (isLocked(round)) return 'locked'
  }
  switch (round.states[cell] ?? null) {
    case null:
      return 'no-card'
    case 'matched':
    case 'gone':
      return 'matched'
    case 'up':
      return 'face-up'
    default:
      return null
  }
}

function flip(round: Round, cell: number): void {
  const turn = round.turns + 1
  round.states[cell] = 'up'
  round.flips++
  if (round.seenIn[cell] === 0) round.seenIn[cell] = turn
  if (round.phase === 'ready') {
    round.first = cell
    round.phase = 'one-up'
    if (!round.clock.started) startClock(round)
    if (round.events) tell(round, { kind: 'flip', cell, turn })
  } else {
    round.second = cell
    if (round.events) tell(round, { kind: 'flip', cell, turn })
    judge(round)
  }
}

/** Handles the end of a look. */
function fallDue(round: Round): void {
  if (round.phase === 'first-look') endFirstLook(round)
  else if (!round.judgedMatch && round.rules.turn.onMiss === 'press') {
    // the look time is over and the lock with it, but the cards wait for the next press
    round.dueAt = NEVER
    setClock(round)
  } else settle(round, 'time')
}

function endFirstLook(round: Round): void {
  round.dueAt = NEVER
  round.phase = 'ready'
  if (round.rules.clock.startsAt === 'deal') startClock(round)
  setClock(round)
  if (round.rules.turn.firstLook > 0 && round.events) tell(round, { kind: 'first-look-over' })
}

/** The two cards of this turn stay, leave or turn back; then the board is ready, unless the round is over. */
function settle(round: Round, by: 'time' | 'press' | 'button'): void {
  const { first, second, states } = round
  const to = !round.judgedMatch ? 'down' : round.rules.turn.onMatch === 'leave' ? 'gone' : 'matched'
  states[first] = to
  states[second] = to
  round.first = -1
  round.second = -1
  round.dueAt = NEVER
  const isPlaying = round.phase === 'judged'
  if (isPlaying) round.phase = 'ready'
  setClockForLook(round)
  if (round.events) tell(round, { kind: 'settled', first, second, to, by })
  if (isPlaying && round.seats) passTurn(round)
}

function pause(round: Round): void {
  if (round.phase === 'paused' || round.phase === 'won' || round.phase === 'lost') return
  round.heldPhase = round.phase
  round.phase = 'paused'
  round.pausedAt = round.at
  setClock(round)
  if (round.events) tell(round, { kind: 'paused' })
}

/** Play goes on where it stopped; the rest of a look still runs. */
function resume(round: Round): void {
  if (round.phase !== 'paused') return
  round.phase = round.heldPhase
  if (round.dueAt !== NEVER) round.dueAt += round.at - round.pausedAt
  setClock(round)
  if (round.events) tell(round, { kind: 'resumed' })
}
