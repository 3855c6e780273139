import { faceIndex, twinFace, type Card } from '../deck/card.ts'
import type { CellGraph } from '../board/steps.ts'

/** Places that are too close for matching cards: for each place the others, and the same as a square table. */
export type TooClose = { graph: CellGraph; joined: Uint8Array }

/** Cards on their places, and how many matching ones are too close; what a swap would change is known at once. */
export class Arrangement {
  /** matching cards that are too close, counted from both ends */
  bad = 0
  readonly cards: Card[]
  private readonly graph: CellGraph
  private readonly joined: Uint8Array
  private readonly size: number
  private readonly faces: Int32Array
  private readonly twins: Int32Array
  private readonly width: number
  /** how many neighbours of a place show a face: place × width + face */
  private readonly near: Uint16Array

  /** In: the cards, which are changed in place as they are swapped. */
  constructor(cards: Card[], { graph, joined }: TooClose) {
    this.cards = cards
    this.graph = graph
    this.joined = joined
    this.size = cards.length
    this.faces = Int32Array.from(cards, faceIndex)
    this.twins = Int32Array.from(cards, twinFace)
    this.width = this.faces.reduce((most, face, i) => Math.max(most, face, this.twins[i]!), 0) + 1
    this.near = new Uint16Array(this.size * this.width)
    graph.forEach((others, place) => {
      for (const other of others) this.near[place * this.width + this.faces[other]!]!++
    })
    for (let place = 0; place < this.size; place++) this.bad += this.badAt(place)
  }

  /** How many cards too close to a place match the card there. */
  badAt(place: number): number {
    return this.near[place * this.width + this.twins[place]!]!
  }

  /**
   * How much a swap of two places would add to the number of matching cards that are too close; null if it would change
   * nothing.
   */
  worse(i: number, j: number): number | null {
    const { faces, twins, near, width } = this
    const one = faces[i]!
    const other = faces[j]!
    if (one === other) return null
    const oneTwin = twins[i]!
    const otherTwin = twins[j]!
    const atI = i * width
    const atJ = j * width
    const before = near[atI + oneTwin]! + near[atJ + otherTwin]!
    let after = near[atI + otherTwin]! + near[atJ + oneTwin]!
    // the other place is counted as it will be after the swap
    if (this.joined[i * this.size + j]) {
      if (other === otherTwin) after--
      if (one === otherTwin) after++
      if (one === oneTwin) after--
      if (other === oneTwin) after++
    }
    return after - before
  }

  /** Swaps two places, which adds `worse` to the count. */
  swap(i: number, j: number, worse: number): void {
    const { faces, twins, near, width, cards, graph } = this
    const one = faces[i]!
    const other = faces[j]!
    this.bad += 2 * worse
    faces[i] = other
    faces[j] = one
    const twin = twins[i]!
    twins[i] = twins[j]!
    twins[j] = twin
    const card = cards[i]!
    cards[i] = cards[j]!
    cards[j] = card
    for (const place of graph[i]!) {
      near[place * width + one]!--
      near[place * width + other]!++
    }
    for (const place of graph[j]!) {
      near[place * width + other]!--
      near[place * width + one]!++
    }
  }
}
