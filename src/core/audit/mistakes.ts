import { draw } from '../deal/draw.ts'
import { streamOf, type Stream } from '../deal/seed.ts'
import { shuffle } from '../deal/shuffle.ts'

/** Common broken shuffles, as they are often written. Each moves the cards of a deck in place. */
type Mistake = (deck: number[], stream: Stream) => void

const swap = (deck: number[], i: number, j: number): void => {
  const card = deck[i]!
  deck[i] = deck[j]!
  deck[j] = card
}

/**
 * Sorting with a random comparison, by each of the ways in which libraries sort; written out, since what a platform's
 * own sort does differs from one to the next.
 */
const SORTS = {
  /** each card is inserted among those before it, its place found by binary search */
  'halving insertion': (deck, stream) => {
    for (let i = 1; i < deck.length; i++) {
      let [low, high] = [0, i]
      while (low < high) {
        const middle = (low + high) >> 1
        if (draw(stream, 2)) high = middle
        else low = middle + 1
      }
      deck.splice(low, 0, deck.splice(i, 1)[0]!)
    }
  },
  /** each card moves back one place at a time */
  insertion: (deck, stream) => {
    for (let i = 1; i < deck.length; i++) for (let j = i; j > 0 && draw(stream, 2); j--) swap(deck, j, j - 1)
  },
  /** halves are sorted and merged */
  merge: (deck, stream) => {
    const sorted = (cards: number[]): number[] => {
      if (cards.length < 2) return cards
      const right = sorted(cards.splice(cards.length >> 1))
      const lower = sorted(cards)
      const merged: number[] = []
      while (lower.length && right.length) merged.push((draw(stream, 2) ? lower : right).shift()!)
      return merged.concat(lower, right)
    }
    deck.push(...sorted(deck.splice(0)))
  },
  /** split by a middle card, again and again */
  quick: (deck, stream) => {
    const sorted = (cards: number[]): number[] => {
      if (cards.length < 2) return cards
      const [middle] = cards.splice(cards.length >> 1, 1)
      const [before, after]: [number[], number[]] = [[], []]
      for (const card of cards) (draw(stream, 2) ? before : after).push(card)
      return [...sorted(before), middle!, ...sorted(after)]
    }
    deck.push(...sorted(deck.splice(0)))
  },
} satisfies Record<string, Mistake>
export type SortName = keyof typeof SORTS

/** Every mistake by name, with the algorithms that can show it. */
export const MISTAKES = {
  'random-comparison': SORTS,
  'any-with-any': (deck, stream) => {
    for (let i = 0; i < deck.length; i++) swap(deck, i, draw(stream, deck.length))
  },
  'tied-keys': (deck, stream) => {
    const keyed = deck.map((card) => ({ card, key: draw(stream, deck.length) }))
    keyed.sort((a, b) => a.key - b.key)
    keyed.forEach(({ card }, i) => (deck[i] = card))
  },
  'too-few-swaps': (deck, stream) => {
    for (let i = 0; i < deck.length / 2; i++) swap(deck, draw(stream, deck.length), draw(stream, deck.length))
  },
  'never-stays': (deck, stream) => {
    for (let i = deck.length - 1; i > 0; i--) swap(deck, i, draw(stream, i))
  },
  'one-half': (deck, stream) => {
    const half = deck.slice(deck.length / 2)
    shuffle(half, stream).forEach((card, i) => (deck[deck.length / 2 + i] = card))
  },
} satisfies Record<string, Mistake | typeof SORTS>
export type MistakeName = keyof typeof MISTAKES

/** The order of a deck of pairs before it is shuffled. */
const STARTS = [
  (pairs: number) => Array.from({ length: pairs * 2 }, (_, i) => i >> 1),
  (pairs: number) => Array.from({ length: pairs * 2 }, (_, i) => i % pairs),
]

/** Work for one mistake and one start, in cards laid. */
const WORK = 400_000

/**
 * How much more often than it should each pair lies at each place, in standard deviations of one board: place × pairs +
 * pair.
 */
function deviations(counts: ArrayLike<number>, boards: number, pairs: number): Float64Array {
  const expected = boards / pairs
  return Float64Array.from(counts, (count) => (count - expected) / Math.sqrt(expected * boards))
}

/**
 * Which mistake a table of pair by place looks like. Every mistake is run on a board of this size, and its table
 * compared with the one that was seen, with its pairs put in the order that fits best, since the order of the deck
 * before shuffling is unknown. In: counts as in a tally, each pair on every board once, so places = 2 × pairs. Out: the
 * mistakes, the likeliest first, with their likeness, 1 if only chance separates them; for a sort also which one.
 */
export function likeMistakes(
  at: ArrayLike<number>,
  boards: number,
  pairs: number,
): { name: MistakeName; sort?: SortName; likeness: number }[] {
  const places = pairs * 2
  const seen = deviations(at, boards, pairs)
  const noise = (samples: number): number => ((places - 1) * (pairs - 1)) / samples
  const seenPower = Math.max(1e-12, dot(seen, seen) - noise(boards))
  const likenessOf = (mistake: Mistake): number =>
    Math.max(
      ...STARTS.map((start) => {
        const tries = Math.max(200, Math.floor(WORK / places))
        const counts = countPlaces(mistake, start(pairs), tries, pairs)
        const theirs = deviations(counts, tries, pairs)
        const power = dot(theirs, theirs) - noise(tries)
        // a mistake that leaves no mark on this table cannot be recognised by it
        if (power < noise(tries)) return 0
        return bestFit(seen, theirs, pairs) / Math.sqrt(seenPower * power)
      }),
    )
  const { 'random-comparison': sorts, ...others } = MISTAKES
  return [
    ...(Object.keys(sorts) as SortName[]).map((sort) => ({
      name: 'random-comparison' as const,
      sort,
      likeness: likenessOf(sorts[sort]),
    })),
    ...(Object.keys(others) as (keyof typeof others)[]).map((name) => ({
      name,
      likeness: likenessOf(others[name]),
    })),
  ].sort((a, b) => b.likeness - a.likeness)
}

function countPlaces(mistake: Mistake, start: number[], tries: number, pairs: number): Uint32Array {
  const stream = streamOf('mistakes', 'shuffling')
  const counts = new Uint32Array(start.length * pairs)
  for (let t = 0; t < tries; t++) {
    const deck = start.slice()
    mistake(deck, stream)
    for (let place = 0; place < deck.length; place++) counts[place * pairs + deck[place]!]!++
  }
  return counts
}

function dot(one: Float64Array, other: Float64Array): number {
  let sum = 0
  for (let i = 0; i < one.length; i++) sum += one[i]! * other[i]!
  return sum
}

/**
 * The sum of products of two tables, with the pairs of the second in the order that fits the first, best fits first.
 */
function bestFit(one: Float64Array, other: Float64Array, pairs: number): number {
  const fits: { p: number; q: number; sum: number }[] = []
  for (let p = 0; p < pairs; p++)
    for (let q = 0; q < pairs; q++) {
      let sum = 0
      for (let at = 0; at < one.length; at += pairs) sum += one[at + p]! * other[at + q]!
      fits.push({ p, q, sum })
    }
  fits.sort((a, b) => b.sum - a.sum)
  const [taken, given] = [new Set<number>(), new Set<number>()]
  let total = 0
  for (const { p, q, sum } of fits) {
    if (taken.has(p) || given.has(q)) continue
    taken.add(p)
    given.add(q)
    total += sum
  }
  return total
}
