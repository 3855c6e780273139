import type { Cells } from '../deal/deal.ts'
import { cardCells, faceIndex, twinFace } from '../deck/card.ts'
import { BOUNDS } from '../settings/bounds.ts'

// copied for each game: a slice is several times as fast as filling a new array; wrapped and marked pure so that a
// build without minds leaves it out
const NOWHERE = /* @__PURE__ */ (() => new Array<number>(BOUNDS.pairs[1] * 2 + 2).fill(-1))()

/** Two traces that match; the older first. */
export type KnownPair = readonly [older: number, other: number]

/**
 * The memory of a mind about a board: at most one trace a cell, in the order in which they were laid or refreshed. It
 * knows which cells are face down without a trace, and which of its traces match. Nothing here is random. In: the
 * deal's cells, none of which is matched yet.
 */
export class Traces {
  private readonly cells: Cells
  /** the cells with a trace, from the oldest to the freshest */
  private readonly order: number[] = []
  /**
   * by cell: the number of its trace, −1 for none; traces are numbered as they are laid, and keep theirs when they are
   * refreshed
   */
  private readonly numbers: number[]
  private laid = 0
  /** by face: how many traces show it, less one */
  private readonly ofFace: number[]
  /** face-down cells without a trace, in any order, and the place of each among them, −1 for nowhere */
  private readonly bare: number[]
  private readonly places: number[]
  /**
   * pairs of matching traces in the order in which they became complete, when the other one was laid under this number;
   * some of them may be gone
   */
  private readonly complete: { one: number; other: number; number: number }[] = []
  private firstComplete = 0

  constructor(cells: Cells) {
    this.cells = cells
    this.numbers = NOWHERE.slice(0, cells.length)
    this.places = NOWHERE.slice(0, cells.length)
    this.bare = cardCells(cells)
    let highest = 0
    for (let place = 0; place < this.bare.length; place++) {
      const cell = this.bare[place]!
      this.places[cell] = place
      if (cells[cell]! > highest) highest = cells[cell]!
    }
    this.ofFace = NOWHERE.slice(0, faceIndex(highest) + 2)
  }

  get count(): number {
    return this.order.length
  }
  /** The cells with a trace, from the oldest to the freshest. */
  held(): number[] {
    return this.order.slice()
  }

  /** How many face-down cells have no trace; the one at a place among them, from 0. */
  get bareCount(): number {
    return this.bare.length
  }
  bareAt(place: number): number {
    return this.bare[place]!
  }
  isBare(cell: number): boolean {
    return this.places[cell]! >= 0
  }
  /** Whether a card lies face down there, or did when the turn began; any whole number may be given. */
  isDown(cell: number): boolean {
    // a read beyond the end of a list would slow down all reads of it
    return cell >= 0 && cell < this.cells.length && (this.isBare(cell) || this.has(cell))
  }

  /** Lays a trace, or makes the one that is there the freshest. */
  lay(cell: number): void {
    if (this.has(cell)) this.takeOut(this.order.indexOf(cell))
    else {
      this.numbers[cell] = this.laid++
      this.completeWith(cell)
      this.ofFace[faceIndex(this.cells[cell]!)]!++
      this.notBare(cell)
    }
    this.order.push(cell)
  }

  /** Loses the trace at this place from the oldest, from 0; its card stays face down. */
  lose(place: number): void {
    const cell = this.order[place]!
    this.takeOut(place)
    this.forget(cell)
    this.places[cell] = this.bare.push(cell) - 1
  }

  /** The card of this cell was matched: it no longer has a trace, and is not face down. */
  matched(cell: number): void {
    if (!this.has(cell)) return this.notBare(cell)
    this.takeOut(this.order.indexOf(cell))
    this.forget(cell)
  }

  /** The pair of matching traces that was complete first, or null. */
  firstPair(): KnownPair | null {
    const { complete, numbers, order } = this
    for (; this.firstComplete < complete.length; this.firstComplete++) {
      const { one, other, number } = complete[this.firstComplete]!
      // either may have been lost since; one that was laid again made another pair
      if (numbers[other] === number && this.has(one) && numbers[one]! < number)
        return order.indexOf(one) < order.indexOf(other) ? [one, other] : [other, one]
    }
    return null
  }

  /** The freshest trace whose card matches that of a cell, except its own; −1 for none. */
  matching(cell: number): number {
    const { order, cells } = this
    const face = twinFace(cells[cell]!)
    if (this.ofFace[face]! < 0) return -1
    for (let place = order.length - 1; place >= 0; place--) {
      const one = order[place]!
      if (faceIndex(cells[one]!) === face && one !== cell) return one
    }
    return -1
  }

  /**
   * The pairs that a trace just laid in this cell completes; of several at once, the one with the oldest trace first.
   */
  private completeWith(cell: number): void {
    const face = twinFace(this.cells[cell]!)
    if (this.ofFace[face]! < 0) return
    for (const one of this.order)
      if (faceIndex(this.cells[one]!) === face)
        this.complete.push({ one, other: cell, number: this.numbers[cell]! })
  }

  private has(cell: number): boolean {
    return this.numbers[cell]! >= 0
  }

  private forget(cell: number): void {
    this.numbers[cell] = -1
    this.ofFace[faceIndex(this.cells[cell]!)]!--
  }

  // by hand: a splice makes a list of what it takes out
  private takeOut(place: number): void {
    const { order } = this
    const last = order.length - 1
    for (; place < last; place++) order[place] = order[place + 1]!
    order.pop()
  }

  private notBare(cell: number): void {
    const place = this.places[cell]!
    if (place < 0) return
    const last = this.bare.pop()!
    if (last !== cell) {
      this.bare[place] = last
      this.places[last] = place
    }
    this.places[cell] = -1
  }
}
