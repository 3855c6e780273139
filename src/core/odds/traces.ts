import type { Cells } from '../deal/deal.ts'
import { faceIndex, NO_CARD, twinFace } from '../deck/card.ts'
import { BOUNDS } from '../settings/settings.ts'

// copied for each game: a slice is several times as fast as filling a new array; wrapped and marked pure so that a build without minds leaves it out
const NOWHERE = /* @__PURE__ */ (() => new Array<number>(BOUNDS.pairs[1] * 2 + 2).fill(-1))()

/** Two traces that match; the older first. */
export type KnownPair = readonly [older: number, other: number]

/**
 * The memory of a mind about a board: at most one trace a cell, in the order in which they were laid or refreshed. It knows which cells are face down without a trace,
 * and which of its traces match. Nothing here is random. In: the deal's cells, none of which is matched yet.
 */
export class Traces {
  count = 0
  private readonly cells: Cells
  /** the cells whose traces were laid or refreshed, in that order; only a cell's last entry counts, and only while it has a trace. None does before `from` */
  private readonly log: number[] = []
  private from = 0
  /** by cell: the place in the log at which its trace was laid, −1 for none, and at which it was laid or refreshed last */
  private readonly laidAt: number[]
  private readonly freshAt: number[]
  /** by face: the last cell that shows it, −1 for none; and by cell, the one before of the same face */
  private readonly lastOf: number[]
  private readonly sameBefore: number[]
  /** face-down cells without a trace, in any order, and the place of each among them, −1 for nowhere */
  private readonly bare: number[] = []
  private readonly place: number[]
  /** pairs of matching traces in the order in which they became complete, at this place in the log; some of them may be gone */
  private readonly complete: { one: number; other: number; at: number }[] = []
  private firstComplete = 0

  constructor(cells: Cells) {
    const size = cells.length
    this.cells = cells
    this.laidAt = NOWHERE.slice(0, size)
    this.freshAt = NOWHERE.slice(0, size)
    this.sameBefore = NOWHERE.slice(0, size)
    this.place = NOWHERE.slice(0, size)
    let highest = 0
    for (const card of cells) if (card > highest) highest = card
    this.lastOf = NOWHERE.slice(0, faceIndex(highest) + 2)
    for (let cell = 0; cell < size; cell++)
      if (cells[cell] !== NO_CARD) {
        const face = faceIndex(cells[cell]!)
        this.sameBefore[cell] = this.lastOf[face]!
        this.lastOf[face] = cell
        this.bareAgain(cell)
      }
  }

  has(cell: number): boolean {
    return this.laidAt[cell]! >= 0
  }

  /** The trace that was laid or refreshed longest ago; there must be one. */
  oldest(): number {
    while (this.freshAt[this.log[this.from]!] !== this.from) this.from++
    return this.log[this.from]!
  }

  /** The cells with a trace, from the oldest to the freshest. */
  held(): number[] {
    const held: number[] = []
    if (this.count > 0) this.oldest()
    for (let at = this.from; held.length < this.count; at++) {
      const cell = this.log[at]!
      if (this.freshAt[cell] === at) held.push(cell)
    }
    return held
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
  /** Whether a card lies face down there, or did when the turn began; any whole number may be given. */
  isDown(cell: number): boolean {
    // a read beyond the end of a list would slow down all reads of it
    return cell >= 0 && cell < this.cells.length && (this.isBare(cell) || this.has(cell))
  }

  /** Lays a trace, or makes the one that is there the freshest. */
  lay(cell: number): void {
    const at = this.log.push(cell) - 1
    if (!this.has(cell)) {
      this.count++
      this.notBare(cell)
      this.completeWith(cell, at)
      this.laidAt[cell] = at
    }
    this.freshAt[cell] = at
  }

  /** Loses the trace of a cell that stays face down. */
  lose(cell: number): void {
    this.drop(cell)
    this.bareAgain(cell)
  }

  /** The card of this cell was matched: it no longer has a trace, and is not face down. */
  matched(cell: number): void {
    if (this.has(cell)) this.drop(cell)
    this.notBare(cell)
  }

  /** The pair of matching traces that was complete first, or null. */
  firstPair(): KnownPair | null {
    const { complete, laidAt, freshAt } = this
    for (; this.firstComplete < complete.length; this.firstComplete++) {
      const { one, other, at } = complete[this.firstComplete]!
      // either may have been lost since; one that was laid again made another pair
      if (laidAt[other] === at && this.has(one) && laidAt[one]! < at)
        return freshAt[one]! < freshAt[other]! ? [one, other] : [other, one]
    }
    return null
  }

  /** The freshest trace whose card matches that of a cell, except its own; −1 for none. */
  matching(cell: number): number {
    const { freshAt, sameBefore } = this
    let freshest = -1
    let latest = -1
    for (let one = this.lastTwin(cell); one >= 0; one = sameBefore[one]!)
      if (one !== cell && freshAt[one]! > latest) {
        freshest = one
        latest = freshAt[one]!
      }
    return freshest
  }

  /** The pair that a trace laid in this cell completes; of several at once, the one with the oldest trace. */
  private completeWith(cell: number, at: number): void {
    const { complete, freshAt, sameBefore } = this
    const from = complete.length
    for (let one = this.lastTwin(cell); one >= 0; one = sameBefore[one]!)
      if (freshAt[one]! >= 0) complete.push({ one, other: cell, at })
    if (complete.length > from + 1)
      complete.push(...complete.splice(from).sort((a, b) => freshAt[a.one]! - freshAt[b.one]!))
  }

  /** The last cell whose card shows the face of this one's twin. */
  private lastTwin(cell: number): number {
    return this.lastOf[twinFace(this.cells[cell]!)]!
  }

  private drop(cell: number): void {
    this.laidAt[cell] = this.freshAt[cell] = -1
    this.count--
  }

  private bareAgain(cell: number): void {
    this.place[cell] = this.bare.push(cell) - 1
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
