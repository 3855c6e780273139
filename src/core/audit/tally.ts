import { cardsMatch, isRelated, pairOf, twinOf, type Card } from '../deck/card.ts'
import { type Board, openCells } from '../board/cells.ts'
import { murmur128 } from '../deal/murmur.ts'
import type { Matches } from './theory.ts'
import { relationsOn, type Relations } from './table.ts'

/** Counts over many boards; plain data, so that workers can send it and tallies can be added up. */
export type Tally = Matches & {
  board: Board
  pairs: number
  deals: number
  /** how often a place held a card of a pair: place × pairs + pair */
  at: Uint32Array
  /** matching cards by how they lie to each other, see table.ts */
  kinds: Float64Array
  /** how often two places held cards of the same pair: place × size + place, the first the lower */
  together: Uint32Array
  /** cards of each pair on the first board, and whether another board held others */
  copies: Uint16Array
  varied: boolean
  /** sums over boards of (cards of one pair × cards of another), once boards vary; empty before */
  products: Float64Array
  /** a number for each board; two boards are the same if their numbers are, but for one chance in 10¹⁵ */
  prints: Float64Array
  /** the first board, and for each place whether every board had the same pair there */
  first: Int32Array
  still: Uint8Array
  /** boards on which some card has no twin */
  untwinned: number
  /** the class of each pair (classes.ts); pairs of different classes are not interchangeable */
  classes: Uint8Array
  /**
   * Of the first boards only, and only with several classes: how often two places held cards of a class, and of the
   * same pair in it, as class × size × size + place × size + place
   */
  sampled: { boards: number; classes: Float64Array; pairs: Float64Array }
}

/** How many boards are used to count how classes lie together. */
const SAMPLED = 4000

/**
 * A board's print: two numbers of 32 bits, each a multiplicative hash of its cards in order, of which 53 bits are kept.
 * The low one is FNV-1a with its own prime, the high one multiplies by that of MurmurHash2; they start from the golden
 * ratio and from a constant of MurmurHash3. All that matters is that equal boards agree. Their numbers stand inside the
 * functions: read from outside, they cost a tenth of the count.
 */
const LOW_START = 0x9e3779b9 | 0
const HIGH_START = 0x85ebca6b | 0
const lowAfter = (low: number, card: Card): number => Math.imul(low ^ card, 0x01000193)
function highAfter(high: number, value: number): number {
  const next = Math.imul(high ^ value, 0x5bd1e995)
  return next ^ (next >>> 15)
}
const printOf = (low: number, high: number): number => (high >>> 0) * 2 ** 21 + (low >>> 11)

/** Counts boards. `capacity` is the most that will come. */
export class Counter {
  readonly tally: Tally
  private readonly open: number[]
  private readonly relations: Relations
  private readonly last: Int32Array
  private readonly before: Int32Array
  private readonly cards: Int32Array
  private readonly copies: Uint16Array
  private readonly marks: Float64Array
  /** of the contents measured last: the sum of their marks, and what `Tally` counts of them */
  private contents: number | null = null
  private forks = 0
  /** places that have held a card other than on the first board */
  private moving = 0
  private lacking = false

  constructor(board: Board, pairs: number, capacity: number, classes: Uint8Array = new Uint8Array(pairs)) {
    this.open = openCells(board)
    const size = this.open.length
    this.relations = relationsOn(board)
    this.last = new Int32Array(pairs)
    this.before = new Int32Array(size)
    this.cards = new Int32Array(size)
    this.copies = new Uint16Array(pairs)
    this.marks = marksFor(pairs)
    this.tally = {
      board,
      pairs,
      deals: 0,
      at: new Uint32Array(size * pairs),
      kinds: new Float64Array(this.relations.kinds),
      together: new Uint32Array(size * size),
      copies: new Uint16Array(pairs),
      varied: false,
      products: new Float64Array(0),
      prints: new Float64Array(capacity),
      first: new Int32Array(size),
      still: new Uint8Array(size).fill(1),
      untwinned: 0,
      classes,
      sampled: {
        boards: 0,
        classes: new Float64Array(classCount(classes) > 1 ? classCount(classes) * size * size : 0),
        pairs: new Float64Array(classCount(classes) > 1 ? classCount(classes) * size * size : 0),
      },
      matches: 0,
      forks: 0,
      squares: 0,
    }
  }

  /** Counts one board. In: its cells with NO_CARD in gaps, cards of pairs below the number of pairs. */
  add(cells: readonly Card[]): void {
    const { tally, open, last, before, cards, marks } = this
    const { kind, size } = this.relations
    const { at, kinds, together, first, still, pairs } = tally
    last.fill(-1)
    let low = LOW_START
    let high = HIGH_START
    let matches = 0
    let contents = 0
    for (let i = 0; i < size; i++) {
      const card = cells[open[i]!]!
      const pair = pairOf(card)
      cards[i] = card
      contents += marks[card]!
      at[i * pairs + pair]!++
      low = lowAfter(low, card)
      high = highAfter(high, card + i)
      for (let j = last[pair]!; j >= 0; j = before[j]!) {
        together[j * size + i]!++
        if (cardsMatch(card, cards[j]!)) {
          kinds[kind[j * size + i]!]!++
          matches++
        }
      }
      before[i] = last[pair]!
      last[pair] = i
    }
    if (tally.deals === 0) for (let i = 0; i < size; i++) first[i] = cards[i]!
    else if (this.moving < size)
      for (let i = 0; i < size; i++)
        if (still[i] && first[i] !== cards[i]) {
          still[i] = 0
          this.moving++
        }
    tally.prints[tally.deals] = printOf(low, high)
    this.countContents(matches, contents)
    if (tally.sampled.classes.length && tally.sampled.boards < SAMPLED) this.countClasses()
    tally.deals++
  }

  private countClasses(): void {
    const { cards } = this
    const { classes, sampled } = this.tally
    const { size } = this.relations
    sampled.boards++
    for (let i = 0; i < size; i++)
      for (let j = 0; j < size; j++) {
        const [one, other] = [pairOf(cards[i]!), pairOf(cards[j]!)]
        if (classes[one] !== classes[other]) continue
        const at = (classes[one]! * size + i) * size + j
        sampled.classes[at]!++
        if (one === other) sampled.pairs[at]!++
      }
  }

  /** The content of a board is measured anew only if it differs from the one before. */
  private countContents(matches: number, contents: number): void {
    const { tally } = this
    if (contents !== this.contents) {
      this.measureContents()
      this.contents = contents
      if (tally.deals === 0) tally.copies.set(this.copies)
      else if (!tally.varied) {
        tally.varied = true
        tally.products = new Float64Array(tally.pairs ** 2)
        addProducts(tally.products, tally.copies, tally.deals)
      }
    }
    tally.matches += matches
    tally.squares += matches * matches
    tally.forks += this.forks
    if (this.lacking) tally.untwinned++
    if (tally.varied) addProducts(tally.products, this.copies, 1)
  }

  private measureContents(): void {
    this.copies.fill(0)
    this.forks = 0
    this.lacking = false
    const counts = new Map<Card, number>()
    for (const card of this.cards) {
      this.copies[pairOf(card)]!++
      counts.set(card, (counts.get(card) ?? 0) + 1)
    }
    for (const [card, count] of counts) {
      const related = isRelated(card)
      const partners = related ? (counts.get(twinOf(card)) ?? 0) : count - 1
      this.forks += count * partners * (partners - 1)
      if (related ? partners !== count : count % 2 === 1) this.lacking = true
    }
  }
}

/** How many classes there are. */
export const classCount = (classes: Uint8Array): number =>
  classes.reduce((most, one) => Math.max(most, one + 1), 1)

/** A number for each card, such that their sum identifies the content of a board. */
const marksFor = (pairs: number): Float64Array =>
  Float64Array.from({ length: pairs * 4 }, (_, card) => {
    const [low, high] = murmur128([card], 0)
    return (low! >>> 0) * 2 ** 12 + (high! >>> 20)
  })

function addProducts(products: Float64Array, copies: Uint16Array, times: number): void {
  const present: number[] = []
  copies.forEach((count, pair) => count && present.push(pair))
  for (const p of present)
    for (const q of present) products[p * copies.length + q]! += times * copies[p]! * copies[q]!
}

/** The parts of a tally that can be moved from thread to thread without copying. */
export const buffersOf = ({
  at,
  kinds,
  together,
  copies,
  products,
  prints,
  first,
  still,
  classes,
  sampled,
}: Tally): ArrayBuffer[] =>
  [at, kinds, together, copies, products, prints, first, still, classes, sampled.classes, sampled.pairs].map(
    ({ buffer }) => buffer as ArrayBuffer,
  )

/** Adds up tallies of the same board and pairs, as workers return them. In: at least one. */
export function sumTallies(tallies: readonly Tally[]): Tally {
  const [one, ...others] = tallies
  return others.reduce(sumOfTwo, one!)
}

function sumOfTwo(a: Tally, b: Tally): Tally {
  if (a.deals === 0 || b.deals === 0) return a.deals ? a : b
  const sameCopies = a.copies.every((count, pair) => count === b.copies[pair])
  const varied = a.varied || b.varied || !sameCopies
  const products = new Float64Array(varied ? a.pairs ** 2 : 0)
  if (varied)
    for (const { varied: own, products: of, copies, deals } of [a, b])
      if (own) of.forEach((product, i) => (products[i]! += product))
      else addProducts(products, copies, deals)
  const prints = new Float64Array(a.deals + b.deals)
  prints.set(a.prints.subarray(0, a.deals))
  prints.set(b.prints.subarray(0, b.deals), a.deals)
  const plus = <T extends Uint32Array | Float64Array>(one: T, other: T): T => {
    const sum = one.slice() as T
    other.forEach((n, i) => (sum[i]! += n))
    return sum
  }
  return {
    ...a,
    deals: a.deals + b.deals,
    at: plus(a.at, b.at),
    kinds: plus(a.kinds, b.kinds),
    together: plus(a.together, b.together),
    varied,
    products,
    prints,
    still: a.still.map((same, i) => (same && b.still[i] && a.first[i] === b.first[i] ? 1 : 0)),
    untwinned: a.untwinned + b.untwinned,
    sampled: {
      boards: a.sampled.boards + b.sampled.boards,
      classes: plus(a.sampled.classes, b.sampled.classes),
      pairs: plus(a.sampled.pairs, b.sampled.pairs),
    },
    matches: a.matches + b.matches,
    forks: a.forks + b.forks,
    squares: a.squares + b.squares,
  }
}
