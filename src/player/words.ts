import { pairOf } from '../core/deck/card.ts'
import { faceOnCard } from '../core/deck/face.ts'
import { cellName } from '../core/board/cells.ts'
import type { Event } from '../core/play/events.ts'
import type { RoundResult } from '../core/play/result.ts'
import { faceWords } from './face.ts'
import { playerNames, type Table } from './table.ts'

/** Everything the table says in words. */

export const nameOf = (table: Table, cell: number): string => cellName(cell, table.settings.board.columns)

/** What the card in a cell shows, in words. */
export function cardWords(table: Table, cell: number): string {
  const card = table.round!.cells[cell]!
  const { pairs } = table.game.deck
  return faceWords(faceOnCard(card, pairs), pairs[pairOf(card)]!.name)
}

/** The accessible name of a card: its cell, and what it shows only while that can be seen (`open`: in a first look). */
export function cardLabel(table: Table, cell: number, open = false): string {
  const name = nameOf(table, cell)
  switch (table.round!.states[cell]) {
    case 'up':
      return `${name}, ${cardWords(table, cell)}`
    case 'matched':
      return `${name}, ${cardWords(table, cell)}, matched`
    case 'gone':
      return `${name}, taken`
    default:
      return open ? `${name}, ${cardWords(table, cell)}` : `${name}, face down`
  }
}

/** What a screen reader hears of an event; empty if it is not announced. */
export function spoken(table: Table, event: Event): string {
  switch (event.kind) {
    case 'flip':
      return `${nameOf(table, event.cell)}: ${cardWords(table, event.cell)}.`
    case 'match':
      return (
        { lucky: 'A match, by luck.', glimpsed: 'A match, from the first look.' }[event.how as string] ??
        'A match.'
      )
    case 'miss':
      return 'No match.'
    case 'life-lost':
      return `${event.left} ${event.left === 1 ? 'life' : 'lives'} left.`
    case 'first-look-over':
      return 'All cards are face down now.'
    case 'passed':
      return `${playerNames(table)[event.to]!} has the next turn.`
    case 'won':
      return `All pairs found.${table.settings.look.behind?.alt ? ` Behind the cards: ${table.settings.look.behind.alt}.` : ''}`
    case 'lost':
      return lostWords(event.by)
    case 'settled':
      return event.to === 'down' && event.by !== 'time' ? 'Turned back.' : ''
    default:
      return ''
  }
}

/** The short line under the board. `tone` picks its colour and sign. */
export function shown(event: Event): { text: string; tone: 'luck' | 'good' | 'plain' } | null {
  switch (event.kind) {
    case 'match':
      if (event.how === 'lucky') return { text: 'A lucky pair!', tone: 'luck' }
      if (event.how === 'glimpsed') return { text: 'Well spotted!', tone: 'good' }
      return { text: event.streak > 1 ? `${event.streak} in a row` : 'Well remembered!', tone: 'good' }
    case 'miss':
      return { text: event.how === 'slip' ? 'You have seen that one before' : 'Not a pair', tone: 'plain' }
    case 'first-look-over':
    case 'flip':
      return { text: '', tone: 'plain' }
    default:
      return null
  }
}

export function lostWords(by: 'lives' | 'turns' | 'clock'): string {
  return { lives: 'No lives left.', turns: 'No turns left.', clock: 'Time is up.' }[by]
}

/** A whole number with thousands separators: "1,250". */
export const grouped = (n: number): string => n.toLocaleString('en')

const count = (n: number, one: string, many: string): string => `${n} ${n === 1 ? one : many}`

/** The lucky matches and slips of a finished round, in friendly words. */
export function tale(result: RoundResult): string {
  const luck =
    result.glimpsed > 0
      ? `${count(result.glimpsed, 'pair', 'pairs')} kept from the first look`
      : result.lucky === 0
        ? 'No luck needed'
        : count(result.lucky, 'lucky pair', 'lucky pairs')
  const slips =
    result.slips === 0
      ? 'and not one slip of memory'
      : `and ${count(result.slips, 'slip', 'slips')} of memory`
  return `${luck}, ${slips}.`
}

/** Minutes and seconds of a time in ms: "1:04". Time left is rounded up, time used down. */
export function clockText(ms: number, left: boolean): string {
  const seconds = left ? Math.ceil(ms / 1000) : Math.floor(ms / 1000)
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
}
