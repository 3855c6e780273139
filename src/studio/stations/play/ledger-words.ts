import { cellName } from '../../../core/board/cells.ts'
import { signedPoints } from '../../../core/play/tape.ts'
import type { Face } from '../../../core/deck/pair.ts'
import type { CardState, Event, Phase, Refusal } from '../../../core/play/events.ts'
import { isLocked } from '../../../core/play/clock.ts'
import { isWaitingForButton, isWaitingForPress } from '../../../core/play/machine.ts'
import { NEVER, type Round } from '../../../core/play/round.ts'
import { seconds } from '../../parts/settings/numbers.ts'

/** An event of the machine in one line for the ledger. `columns` gives the cells their names. */
export function eventWords(event: Event, columns: number): string {
  const name = (cell: number): string => (cell < 0 ? `cell ${cell}` : cellName(cell, columns))
  const signed = (points: number): string => (points ? `, ${signedPoints(points)}` : '')
  switch (event.kind) {
    case 'first-look-over':
      return 'first look over'
    case 'flip':
      return `flip ${name(event.cell)}`
    case 'turned-back':
      return `${name(event.cell)} turned back alone`
    case 'match':
      return `match ${name(event.first)} ${name(event.second)}, ${event.how}${signed(event.points)}`
    case 'miss':
      return `miss ${name(event.first)} ${name(event.second)}, ${event.how}${signed(event.points)}`
    case 'life-lost':
      return `life lost, ${event.left} left`
    case 'clock-changed':
      return `clock ${event.by > 0 ? '+' : '−'}${Math.abs(event.by) / 1000} s`
    case 'settled':
      return `${name(event.first)} ${name(event.second)} ${event.to === 'down' ? 'turned back' : event.to === 'gone' ? 'left' : 'stay'}${event.by === 'time' ? '' : ` by ${event.by}`}`
    case 'passed':
      return `player ${event.to + 1} is next`
    case 'refused':
      return `${name(event.cell)} refused: ${event.reason}`
    case 'won':
      return `won${signed(event.bonus)}`
    case 'lost':
      return `lost by ${event.by}`
    default:
      return event.kind
  }
}

/** The phase of a round, in words. */
export const PHASE_WORDS: Record<Phase, string> = {
  'first-look': 'first look',
  ready: 'ready',
  'one-up': 'one card up',
  judged: 'judged',
  won: 'won',
  lost: 'lost',
  paused: 'paused',
}

/** Why a press was refused. */
export const REFUSAL_WORDS: Record<Refusal, string> = {
  finished: 'the game is over',
  paused: 'the game is paused',
  'first-look': 'the first look is not over',
  locked: 'two cards are up, and their look time is not over',
  'no-card': 'a gap, or outside the board',
  matched: 'this card is matched',
  'face-up': 'this card is already face up',
}

export type Sight = { times: number; last: number }

/** How often each cell was seen, and in which turn last, from the list of events. */
export function sights(events: readonly Event[], cells: number): Sight[] {
  const looks = Array.from({ length: cells }, () => ({ times: 0, last: 0 }))
  for (const event of events)
    if (event.kind === 'flip') {
      looks[event.cell]!.times++
      looks[event.cell]!.last = event.turn
    }
  return looks
}

/** A card as the ledger has it. */
export type LedgerRow = Sight & {
  cell: number
  name: string
  face: Face
  words: string
  state: CardState
  order: string
}

/** The ledger as text: the cards in columns, then the events in order, with their times in seconds. */
export function ledgerText(
  rows: readonly Omit<LedgerRow, 'face'>[],
  events: readonly Event[],
  columns: number,
): string {
  const wide = Math.max(4, ...rows.map(({ words }) => words.length))
  const line = (name: string, words: string, state: string, times: string, last: string): string =>
    `${name.padEnd(6)}${words.padEnd(wide + 2)}${state.padEnd(9)}${times.padStart(4)}${last.padStart(6)}`.trimEnd()
  const cards = rows.map(({ name, words, state, times, last }) =>
    line(name, words, state, String(times), String(last || '')),
  )
  const lines = events.map(
    (event) => `${(event.at / 1000).toFixed(3).padStart(9)}  ${eventWords(event, columns)}`,
  )
  return [line('cell', 'face', 'state', 'seen', 'turn'), ...cards, '', ...lines].join('\n') + '\n'
}

/** The ledger for programs: every card's state, and the machine's events. */
export function ledgerJson(
  rows: readonly Omit<LedgerRow, 'face'>[],
  events: readonly Event[],
  seed: string,
  level: string,
): string {
  const cards = rows.map(({ name, words, state, times, last }) => ({
    cell: name,
    face: words,
    state,
    times,
    last,
  }))
  return JSON.stringify({ level, seed, cards, events }, null, 2)
}

/** What the round is waiting for, in words: "locked for 0.6 s more". */
export function clockDueIn(round: Round): string {
  if (round.phase === 'lost') return `by ${round.lostBy}`
  if (isWaitingForButton(round)) return 'locked until the button'
  if (isWaitingForPress(round)) return 'until the next press'
  if (round.dueAt === NEVER || (round.phase !== 'judged' && round.phase !== 'first-look')) return ''
  const remaining = seconds(Math.max(0, round.dueAt - round.at))
  return round.phase === 'judged' && isLocked(round) ? `locked for ${remaining}` : remaining
}
