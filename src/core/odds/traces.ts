import type { Cells } from '../deal/deal.ts'
import { faceIndex, NO_CARD, twinFace } from '../deck/card.ts'
import { BOUNDS } from '../settings/settings.ts'

// to copy from: a slice is several times as quick as filling a new array
const NOWHERE: number[] = Array.from({ length: BOUNDS.cards[1] + 1 }, () => -1)
const NEVER_LAID: number[] = Array.from({ length: BOUNDS.cards[1] + 1 }, () => 0)

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
  private readonly younger: number[]
  private readonly older: number[]
  /** by cell: when its trace was laid, 0 for none, and when it was laid or refreshed last */
  private readonly laidAt: number[]
  private readonly freshAt: number[]
  private clock = 0
  /** by face: the cells with a trace of it, in any order */
  private readonly byFace: (number[] | undefined)[] = []
  /** face-down cells without a trace, in any order, and where each stands among them, −1 for nowhere */
  private readonly bare: number[] = []
  private readonly place: number[]
  /** pairs of matching traces in the order in which they became complete, some of them gone by now */
  private complete: { one: number; other: number; laid: number; laidOther: number }[] = []
  private firstComplete = 0

  constructor(cells: Cells) {
    this.cells = cells
    this.end = cells.length
    this.younger = NOWHERE.slice(0, this.end + 1)
    this.older = NOWHERE.slice(0, this.end + 1)
    this.younger[this.end] = this.older[this.end] = this.end
    this.laidAt = NEVER_LAID.slice(0, this.end)
    this.freshAt = NEVER_LAID.slice(0, this.end)
    this.place = NOWHERE.slice(0, this.end)
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
      this.laidAt[cell] = this.clock + 1
      this.count++
      this.notBare(cell)
      this.completeWith(cell)
      const face = faceIndex(this.cells[cell]!)
      const same = this.byFace[face]
      if (same) same.push(cell)
      else this.byFace[face] = [cell]
    }
    this.freshAt[cell] = ++this.clock
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
        return this.freshAt[one]! < this.freshAt[other]! ? [one, other] : [other, one]
    }
    return null
  }

  /** The freshest trace whose card matches that of a cell, but for its own; −1 for none. */
  matching(cell: number): number {
    let freshest = -1
    for (const trace of this.byFace[twinFace(this.cells[cell]!)] ?? [])
      if (trace !== cell && (freshest < 0 || this.freshAt[trace]! > this.freshAt[freshest]!)) freshest = trace
    return freshest
  }

  /** What this cell's trace completes; of several pairs at once, that with the older trace comes first. */
  private completeWith(cell: number): void {
    const traces = this.byFace[twinFace(this.cells[cell]!)]
    if (!traces?.length) return
    const { laidAt, freshAt } = this
    const inOrder = traces.length === 1 ? traces : [...traces].sort((a, b) => freshAt[a]! - freshAt[b]!)
    for (const one of inOrder)
      this.complete.push({ one, other: cell, laid: laidAt[one]!, laidOther: laidAt[cell]! })
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
    const same = this.byFace[faceIndex(this.cells[cell]!)]!
    const last = same.pop()!
    if (last !== cell) same[same.indexOf(cell)] = last
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
