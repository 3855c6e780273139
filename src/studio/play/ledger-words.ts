import { cellName } from '../../core/deal/cells.ts'
import type { Event } from '../../core/play/events.ts'

/** An event of the machine in one line for the ledger. `columns` gives the cells their names. */
export function eventWords(event: Event, columns: number): string {
  const name = (cell: number): string => (cell < 0 ? `cell ${cell}` : cellName(cell, columns))
  const signed = (points: number): string => (points ? `, ${points > 0 ? '+' : '−'}${Math.abs(points)}` : '')
  switch (event.kind) {
    case 'first-look-over':
      return 'first look over'
    case 'flip':
      return `flip ${name(event.cell)}`
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

export type Sight = { times: number; last: number }

/** How often each cell was seen, and in which turn last, from the list of events. */
export function sights(events: readonly Event[], cells: number): Sight[] {
  const seen = Array.from({ length: cells }, () => ({ times: 0, last: 0 }))
  for (const event of events)
    if (event.kind === 'flip') {
      seen[event.cell]!.times++
      seen[event.cell]!.last = event.turn
    }
  return seen
}
