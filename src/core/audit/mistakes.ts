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
    const inOrder = (cards: number[]): number[] => {
      if (cards.length < 2) return cards
      const right = inOrder(cards.splice(cards.length >> 1))
      const lower = inOrder(cards)
      const merged: number[] = []
      while (lower.length && right.length) merged.push((draw(stream, 2) ? lower : right).shift()!)
      return merged.concat(lower, right)
    }
    deck.push(...inOrder(deck.splice(0)))
  },
  /** split by a middle card, again and again */
  quick: (deck, stream) => {
    const inOrder = (cards: number[]): number[] => {
      if (cards.length < 2) return cards
      const [middle] = cards.splice(cards.length >> 1, 1)
      const [before, after]: [number[], number[]] = [[], []]
      for (const card of cards) (draw(stream, 2) ? before : after).push(card)
      return [...inOrder(before), middle!, ...inOrder(after)]
    }
    deck.push(...inOrder(deck.splice(0)))
  },
} satisfies Record<string, Mistake>
export type SortName = keyof typeof SORTS

/** A shuffle that is right but for how it turns a random number (0 to below 1) into a place from 0 to i. */
const picking =
  (pick: (random: number, i: number) => number): Mistake =>
  (deck, stream) => {
    for (let i = deck.length - 1; i > 0; i--) swap(deck, i, pick((stream.next() >>> 0) / 2 ** 32, i))
  }
const swapping =
  (share: number): Mistake =>
  (deck, stream) => {
    for (let i = 0; i < deck.length * share; i++)
      swap(deck, draw(stream, deck.length), draw(stream, deck.length))
  }
const keyed =
  (keysFor: (cards: number) => number): Mistake =>
  (deck, stream) => {
    const keys = deck.map((card) => ({ card, key: draw(stream, keysFor(deck.length)) }))
    keys.sort((a, b) => a.key - b.key)
    keys.forEach(({ card }, i) => (deck[i] = card))
  }
/** A deck is cut in the middle, and its halves are run into each other, a few times. */
const riffling =
  (times: number): Mistake =>
  (deck, stream) => {
    for (let time = 0; time < times; time++) {
      const lower = deck.splice(deck.length >> 1)
      const upper = deck.splice(0)
      while (upper.length || lower.length)
        deck.push((draw(stream, upper.length + lower.length) < upper.length ? upper : lower).shift()!)
    }
  }

/** Every mistake by name, with the ways in which it is made. */
export const MISTAKES = {
  'random-comparison': SORTS,
  'any-with-any': {
    loop: (deck, stream) => {
      for (let i = 0; i < deck.length; i++) swap(deck, i, draw(stream, deck.length))
    },
  },
  'tied-keys': { 'as many as cards': keyed((cards) => cards), ten: keyed(() => 10) },
  'too-few-swaps': { half: swapping(1 / 2), quarter: swapping(1 / 4), all: swapping(1) },
  'too-few-riffles': { one: riffling(1), two: riffling(2), three: riffling(3) },
  'never-stays': { loop: picking((random, i) => Math.floor(random * i)) },
  'skewed-draw': {
    square: picking((random, i) => Math.floor(random ** 2 * (i + 1))),
    'square from the end': picking((random, i) => i - Math.floor(random ** 2 * (i + 1))),
    root: picking((random, i) => Math.floor(random ** 0.5 * (i + 1))),
    'root from the end': picking((random, i) => i - Math.floor(random ** 0.5 * (i + 1))),
    rounded: picking((random, i) => Math.round(random * i)),
  },
  'one-half': {
    last: (deck, stream) => {
      const half = deck.slice(deck.length / 2)
      shuffle(half, stream).forEach((card, i) => (deck[deck.length / 2 + i] = card))
    },
  },
} satisfies Record<string, Record<string, Mistake>>
export type MistakeName = keyof typeof MISTAKES

/** The order of a deck of pairs before it is shuffled. */
const STARTS = [
  (pairs: number) => Array.from({ length: pairs * 2 }, (_, i) => i >> 1),
  (pairs: number) => Array.from({ length: pairs * 2 }, (_, i) => i % pairs),
]

/** A table is compared if what it shows is so many times what chance adds to it. */
const CLEAR = 1

/** Work for one mistake and one start, in cards laid. */
const WORK = 200_000

/**
 * How much more often than it should each pair lies at each place, in standard deviations of one board: place × pairs +
 * pair.
 */
function deviations(counts: ArrayLike<number>, boards: number, pairs: number): Float64Array {
  const expected = boards / pairs
  return Float64Array.from(counts, (count) => (count - expected) / Math.sqrt(expected * boards))
}

/** What a way of making a mistake does to a deck: how often each pair comes to each place. */
type Mark = { name: MistakeName; way: string; table: Float64Array; power: number }

const noiseOf = (pairs: number, boards: number): number => ((2 * pairs - 1) * (pairs - 1)) / boards

/** The marks of all mistakes, by how many pairs a deck has; of the few sizes that are asked for in a day. */
const marks = new Map<number, Mark[]>()
const SIZES = 8
function marksOn(pairs: number): Mark[] {
  const cached = marks.get(pairs)
  if (cached) return cached
  if (marks.size === SIZES) marks.clear()
  const all = STARTS.flatMap((start) => marksFrom(start(pairs), pairs))
  marks.set(pairs, all)
  return all
}

function marksFrom(start: number[], pairs: number): Mark[] {
  const tries = Math.max(200, Math.floor(WORK / start.length))
  const noise = noiseOf(pairs, tries)
  return (
    Object.entries(MISTAKES)
      .flatMap(([name, ways]) =>
        Object.entries<Mistake>(ways).map(([way, mistake]): Mark => {
          const table = deviations(countPlaces(mistake, start, tries, pairs), tries, pairs)
          return { name: name as MistakeName, way, table, power: dot(table, table) - noise }
        }),
      )
      // one that leaves no mark cannot be recognised by it
      .filter(({ power }) => power >= noise)
  )
}

/**
 * Which mistake a table of pair by place looks like. Every mistake is made on a board of this size, and its table
 * compared with the one that was seen, from the first place on or from the last, with its pairs put in the order that
 * fits best, since the order of the deck before shuffling is unknown. In: counts as in a tally, each pair on every
 * board once, so places = 2 × pairs. Out: the ways of making mistakes, the likeliest first, with their likeness, 1 if
 * only chance separates them; none if chance alone may have drawn the half of it.
 */
export function likeMistakes(
  at: ArrayLike<number>,
  boards: number,
  pairs: number,
): { name: MistakeName; way: string; likeness: number }[] {
  const observed = deviations(at, boards, pairs)
  const backward = Float64Array.from(observed, (_, i) => {
    const place = 2 * pairs - 1 - Math.floor(i / pairs)
    return observed[place * pairs + (i % pairs)]!
  })
  const noise = noiseOf(pairs, boards)
  const seenPower = dot(observed, observed) - noise
  if (seenPower < CLEAR * noise) return []
  return marksOn(pairs)
    .map(({ name, way, table, power }) => {
      const fit = Math.max(bestFit(observed, table, pairs), bestFit(backward, table, pairs))
      return { name, way, likeness: fit / Math.sqrt(seenPower * power) }
    })
    .sort((a, b) => b.likeness - a.likeness)
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
