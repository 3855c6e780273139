import type { Cells } from '../deal/deal.ts'
import { faceIndex, NO_CARD, twinFace } from '../deck/card.ts'

/** Two traces that match; the older first. */
export type KnownPair = readonly [older: number, other: number]

/**
 * What a mind remembers of a board: at most one trace a cell, in the order in which they were laid or refreshed. It knows which cells are face down without a trace,
 * and which of its traces match. Nothing is left to chance here. In: the deal's cells, none of which is matched yet.
 */
export class Traces {
  count = 0
  private readonly cells: Cells
  private readonly end: number
  /** by cell, and from the end: the next younger and the next older trace */
  private readonly younger: Int32Array
  private readonly older: Int32Array
  /** by cell: when its trace was laid, 0 for none */
  private readonly laidAt: Int32Array
  private clock = 0
  /** face-down cells without a trace, in any order, and where each stands among them, −1 for nowhere */
  private readonly bare: number[] = []
  private readonly place: Int32Array
  /** pairs of matching traces in the order in which they became complete, some of them gone by now */
  private complete: { one: number; other: number; laid: number; laidOther: number }[] = []
  private firstComplete = 0

  constructor(cells: Cells) {
    this.cells = cells
    this.end = cells.length
    this.younger = new Int32Array(this.end + 1).fill(-1)
    this.older = new Int32Array(this.end + 1).fill(-1)
    this.younger[this.end] = this.older[this.end] = this.end
    this.laidAt = new Int32Array(this.end)
    this.place = new Int32Array(this.end).fill(-1)
    for (let cell = 0; cell < this.end; cell++) if (cells[cell] !== NO_CARD) this.bareAgain(cell)
  }

  has(cell: number): boolean {
    return this.laidAt[cell]! > 0
  }

  /** The trace that was laid or refreshed longest ago, −1 for none. */
  oldest(): number {
    return this.next(this.end)
  }

  /** The trace that was laid or refreshed next after this one's, −1 for none. */
  next(cell: number): number {
    const next = this.younger[cell]!
    return next === this.end ? -1 : next
  }

  /** How many face-down cells have no trace; the one at a place among them, from 0. */
  get bareCount(): number {
    return this.bare.length
  }
  bareAt(place: number): number {
    return this.bare[place]!
  }
  isBare(cell: number): boolean {
    return this.place[cell]! >= 0
  }

  /** Lays a trace, or makes the one that is there the freshest. */
  lay(cell: number): void {
    if (this.has(cell)) this.unlink(cell)
    else {
      this.laidAt[cell] = ++this.clock
      this.count++
      this.notBare(cell)
      this.completeWith(cell)
    }
    const last = this.older[this.end]!
    this.younger[last] = cell
    this.older[cell] = last
    this.younger[cell] = this.end
    this.older[this.end] = cell
  }

  /** Loses the trace of a cell that stays face down. */
  lose(cell: number): void {
    this.drop(cell)
    this.bareAgain(cell)
  }

  /** The card of this cell was matched: it has no trace any more, and is not face down. */
  matched(cell: number): void {
    if (this.has(cell)) this.drop(cell)
    this.notBare(cell)
  }

  /** The pair of matching traces that was complete first, or null. */
  firstPair(): KnownPair | null {
    for (; this.firstComplete < this.complete.length; this.firstComplete++) {
      const { one, other, laid, laidOther } = this.complete[this.firstComplete]!
      if (this.laidAt[one] === laid && this.laidAt[other] === laidOther)
        return this.isOlder(one, other) ? [one, other] : [other, one]
    }
    return null
  }

  /** The freshest trace whose card matches that of a cell, but for its own; −1 for none. */
  matching(cell: number): number {
    const face = twinFace(this.cells[cell]!)
    for (let trace = this.older[this.end]!; trace !== this.end; trace = this.older[trace]!)
      if (trace !== cell && faceIndex(this.cells[trace]!) === face) return trace
    return -1
  }

  /** What this cell's trace completes; of several pairs at once, that with the older trace comes first. */
  private completeWith(cell: number): void {
    const face = twinFace(this.cells[cell]!)
    for (let trace = this.younger[this.end]!; trace !== this.end; trace = this.younger[trace]!)
      if (faceIndex(this.cells[trace]!) === face)
        this.complete.push({
          one: trace,
          other: cell,
          laid: this.laidAt[trace]!,
          laidOther: this.laidAt[cell]!,
        })
  }

  private isOlder(one: number, other: number): boolean {
    for (let trace = this.younger[this.end]!; trace !== this.end; trace = this.younger[trace]!)
      if (trace === one || trace === other) return trace === one
    return true
  }

  private unlink(cell: number): void {
    const [older, younger] = [this.older[cell]!, this.younger[cell]!]
    this.younger[older] = younger
    this.older[younger] = older
  }

  private drop(cell: number): void {
    this.unlink(cell)
    this.laidAt[cell] = 0
    this.count--
  }

  private bareAgain(cell: number): void {
    this.place[cell] = this.bare.length
    this.bare.push(cell)
  }

  private notBare(cell: number): void {
    const place = this.place[cell]!
    if (place < 0) return
    const last = this.bare.pop()!
    if (last !== cell) {
      this.bare[place] = last
      this.place[last] = place
    }
    this.place[cell] = -1
  }
}
