import { cardCells } from '../deck/card.ts'
import type { Cells } from '../deal/deal.ts'
import { draw } from '../deal/draw.ts'
import { shuffle } from '../deal/shuffle.ts'
import { NEVER } from '../play/round.ts'
import type { Mind } from '../settings/mind.ts'
import { happens, normalAt, spared, type MindStreams } from './chance.ts'
import { Traces, type KnownPair } from './traces.ts'

/**
 * How long a mind thinks: median × e^(spread × z), with z from the standard normal distribution; whole ms, 1 at least
 * and NEVER at most. It rises with `drawn`, a number of 32 bits.
 */
export function thoughtMs(median: number, spread: number, drawn: number): number {
  const ms = median * Math.exp(spread * normalAt(drawn))
  // rounded by its bits: a small whole number keeps the state's fields fast
  return ms < 1 ? 1 : ms > NEVER ? NEVER : (ms + 0.5) | 0
}

/**
 * A mind at one board, as docs/odds.md describes it. It knows of the cards only what it is told: those face up in the
 * first look, and the two cards of each turn when they settle, its own or another player's. In: the deal's cells and
 * the board's columns.
 */
export class MindPlayer {
  readonly traces: Traces
  protected readonly mind: Mind
  private readonly columns: number
  protected readonly streams: MindStreams
  private readonly cells: Cells
  private plan: KnownPair | null = null

  constructor(mind: Mind, cells: Cells, columns: number, streams: MindStreams) {
    this.mind = mind
    this.cells = cells
    this.columns = columns
    this.streams = streams
    this.traces = new Traces(cells)
  }

  /** All cards were face up for this many ms. */
  sawAll(ms: number): void {
    const { glance, notice } = this.mind.memory
    const count = glance > 0 ? Math.floor(ms / glance) : 0
    if (count === 0) return
    const { remembering } = this.streams
    for (const cell of shuffle(cardCells(this.cells), remembering).slice(0, count))
      if (happens(remembering, notice)) this.traces.lay(cell)
    this.holdOnly()
  }

  /** A card was turned up and back, alone. */
  glimpsed(cell: number): void {
    if (happens(this.streams.remembering, this.mind.memory.notice)) this.traces.lay(cell)
    this.holdOnly()
  }

  /** The two cards of a turn settled. */
  settled(first: number, second: number, isMatch: boolean): void {
    const { notice, fade } = this.mind.memory
    const { remembering } = this.streams
    const { traces } = this
    if (isMatch) {
      traces.matched(first)
      traces.matched(second)
    } else {
      if (happens(remembering, notice)) traces.lay(first)
      if (happens(remembering, notice)) traces.lay(second)
    }
    this.holdOnly()
    let place = spared(remembering, fade, traces.count)
    while (place < traces.count) {
      traces.lose(place)
      place += spared(remembering, fade, traces.count - place)
    }
  }

  /** The cell of the first card of a turn. */
  first(): number {
    this.plan = this.traces.firstPair()
    if (!this.plan) return this.anyCell(-1)
    const pressed = this.aim(this.plan[0], -1)
    if (pressed !== this.plan[0]) this.plan = null
    return pressed
  }

  /** The cell of the second card, when the first one lies open. */
  second(first: number): number {
    const twin = this.plan ? this.plan[1] : this.traces.matching(first)
    return twin >= 0 ? this.aim(twin, first) : this.anyCell(first)
  }

  /** How long after the board is ready, or after the first card, it presses, in ms. */
  thought(card: 'first' | 'second'): number {
    const { pace } = this.mind
    return pace.spread === 0
      ? pace[card]
      : thoughtMs(pace[card], pace.spread, this.streams.pacing.next() >>> 0)
  }

  private holdOnly(): void {
    const { hold } = this.mind.memory
    while (hold !== null && this.traces.count > hold) this.traces.lose(0)
  }

  /** A face-down cell without a trace, or if there is none, any face-down cell; but not the first card's. */
  private anyCell(first: number): number {
    const { traces } = this
    const { choosing } = this.streams
    const bare = traces.bareCount - (first >= 0 && traces.isBare(first) ? 1 : 0)
    if (bare > 0) {
      const cell = traces.bareAt(draw(choosing, bare))
      // the last cell replaces the first card's, which may not be pressed
      return cell === first ? traces.bareAt(bare) : cell
    }
    const others = traces.held().filter((cell) => cell !== first)
    return others[draw(choosing, others.length)]!
  }

  /** The cell that is pressed for a remembered one. */
  private aim(cell: number, first: number): number {
    const { choosing } = this.streams
    if (!happens(choosing, this.mind.memory.blur)) return cell
    const { columns, traces } = this
    const column = cell % columns
    const beside = [
      cell - columns,
      cell + columns,
      column > 0 ? cell - 1 : -1,
      column < columns - 1 ? cell + 1 : -1,
    ].filter((one) => one !== first && traces.isDown(one))
    return beside.length ? beside[draw(choosing, beside.length)]! : cell
  }
}
