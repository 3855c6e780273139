import type { Cells } from '../deal/deal.ts'
import { faceIndex, NO_CARD, twinFace } from '../deck/card.ts'
import { BOUNDS } from '../settings/settings.ts'

// to copy from: a slice is several times as quick as filling a new array
const NOWHERE: number[] = Array.from({ length: BOUNDS.cards[1] + 1 }, () => -1)
const NO_FACES: number[] = Array.from({ length: BOUNDS.pairs[1] * 2 + 2 }, () => -1)

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
  /** the cells whose traces were laid or refreshed, in that order; only the last time of each counts, and only while it has a trace. None does before `from` */
  private readonly log: number[] = []
  private from = 0
  /** by cell: the place in the log at which its trace was laid, −1 for none, and at which it was laid or refreshed last */
  private readonly laidAt: number[]
  private readonly freshAt: number[]
  /** by face: the cell whose trace of it was laid last, −1 for none; and by cell, that of the same face laid before */
  private readonly lastOf: number[]
  private readonly sameBefore: number[]
  /** face-down cells without a trace, in any order, and where each stands among them, −1 for nowhere */
  private readonly bare: number[] = []
  private readonly place: number[]
  /** pairs of matching traces in the order in which they became complete, some of them gone by now */
  private complete: { one: number; other: number; laid: number; laidOther: number }[] = []
  private firstComplete = 0

  constructor(cells: Cells) {
    this.cells = cells
    this.end = cells.length
    this.laidAt = NOWHERE.slice(0, this.end)
    this.freshAt = NOWHERE.slice(0, this.end)
    this.place = NOWHERE.slice(0, this.end)
    this.sameBefore = NOWHERE.slice(0, this.end)
    let highest = 0
    for (let cell = 0; cell < this.end; cell++) {
      const card = cells[cell]!
      if (card === NO_CARD) continue
      this.bareAgain(cell)
      if (card > highest) highest = card
    }
    this.lastOf = NO_FACES.slice(0, faceIndex(highest) + 2)
  }

  has(cell: number): boolean {
    return this.laidAt[cell]! >= 0
  }

  /** The trace that was laid or refreshed longest ago, −1 for none. */
  oldest(): number {
    const { log, freshAt } = this
    while (this.from < log.length && freshAt[log[this.from]!] !== this.from) this.from++
    return this.from < log.length ? log[this.from]! : -1
  }

  /** The trace that was laid or refreshed next after this one's, −1 for none. */
  next(cell: number): number {
    const { log, freshAt } = this
    let at = freshAt[cell]! + 1
    while (at < log.length && freshAt[log[at]!] !== at) at++
    return at < log.length ? log[at]! : -1
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
  /** Whether a card lies face down there, or did when the turn began; any whole number may come in. */
  isDown(cell: number): boolean {
    return cell >= 0 && cell < this.end && (this.isBare(cell) || this.has(cell))
  }

  /** Lays a trace, or makes the one that is there the freshest. */
  lay(cell: number): void {
    const at = this.log.length
    if (!this.has(cell)) {
      this.laidAt[cell] = at
      this.count++
      this.notBare(cell)
      this.completeWith(cell)
      const face = faceIndex(this.cells[cell]!)
      this.sameBefore[cell] = this.lastOf[face]!
      this.lastOf[face] = cell
    }
    this.freshAt[cell] = at
    this.log.push(cell)
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
        return this.freshAt[one]! < this.freshAt[other]! ? [one, other] : [other, one]
    }
    return null
  }

  /** The freshest trace whose card matches that of a cell, but for its own; −1 for none. */
  matching(cell: number): number {
    let freshest = -1
    for (let one = this.lastOf[twinFace(this.cells[cell]!)]!; one >= 0; one = this.sameBefore[one]!)
      if (one !== cell && (freshest < 0 || this.freshAt[one]! > this.freshAt[freshest]!)) freshest = one
    return freshest
  }

  /** What this cell's trace completes; of several pairs at once, that with the older trace comes first. */
  private completeWith(cell: number): void {
    const { laidAt, freshAt } = this
    const last = this.lastOf[twinFace(this.cells[cell]!)]!
    if (last < 0) return
    const traces = [last]
    for (let one = this.sameBefore[last]!; one >= 0; one = this.sameBefore[one]!) traces.push(one)
    if (traces.length > 1) traces.sort((a, b) => freshAt[a]! - freshAt[b]!)
    for (const one of traces)
      this.complete.push({ one, other: cell, laid: laidAt[one]!, laidOther: laidAt[cell]! })
  }

  private drop(cell: number): void {
    this.laidAt[cell] = this.freshAt[cell] = -1
    this.count--
    const face = faceIndex(this.cells[cell]!)
    let after = this.lastOf[face]!
    if (after === cell) this.lastOf[face] = this.sameBefore[cell]!
    else {
      while (this.sameBefore[after] !== cell) after = this.sameBefore[after]!
      this.sameBefore[after] = this.sameBefore[cell]!
    }
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
