import { expect, test } from '@jest/globals'
import { cardOf, type Card } from '../deck/card.ts'
import type { Board } from '../board/cells.ts'
import { draw } from '../deal/draw.ts'
import { streamOf, type Stream } from '../deal/seed.ts'
import { shuffle } from '../deal/shuffle.ts'
import { deckOf, read, six } from '../testing/audits.ts'
import { testSeed } from '../testing/chance.ts'
import { auditBoards, type Audit } from './audit.ts'
import { MISTAKES } from './mistakes.ts'
import type { Reason } from './reason.ts'

/*
 * Ways in which programs deal, fair and flawed, each as somebody might write it. A fair set is called unfair once in
 * 100,000 audits; so many boards are dealt of a flawed one that its reason came with each of 20 other seeds.
 */

/** The next board, given its number and the one before. */
type Way = (stream: Stream, i: number, last: readonly number[]) => number[]
type Size = { board?: Board; pairs?: number; deals?: number }

function auditOf(name: string, way: Way, { board = six, pairs = 18, deals = 1000 }: Size): Audit {
  const stream = streamOf(testSeed(name), 'shuffling')
  const boards: Card[][] = []
  let last: number[] = deckOf(pairs)
  for (let i = 0; i < deals; i++) {
    last = way(stream, i, last)
    boards.push(last.map((pair) => (pair < 0 ? pair : cardOf(pair, 'a', false))))
  }
  return auditBoards(read(board, boards, pairs))
}

type Move = (deck: number[], stream: Stream) => void
/** A way that begins with the same deck each time. */
const by =
  (move: Move, deckFor: () => number[] = () => deckOf(18)): Way =>
  (stream) => {
    const deck = deckFor()
    move(deck, stream)
    return deck
  }
const small = { board: { rows: 3, columns: 4, gaps: [] }, pairs: 6 }
const smallDeck = (): number[] => deckOf(6)
const grid = (rows: number, columns: number): Board => ({ rows, columns, gaps: [] })
const upTo = (count: number): number[] => [...Array(count).keys()]

function swap(deck: number[], i: number, j: number): void {
  const card = deck[i]!
  deck[i] = deck[j]!
  deck[j] = card
}
const swaps =
  (count: number): Move =>
  (deck, stream) => {
    for (let i = 0; i < count; i++) swap(deck, draw(stream, deck.length), draw(stream, deck.length))
  }
const movedOn =
  (move: Move): Way =>
  (stream, _, last) => {
    const deck = [...last]
    move(deck, stream)
    return deck
  }
/** A number from 0 to below 1. */
const random = (stream: Stream): number => (stream.next() >>> 0) / 2 ** 32
const fair: Move = (deck, stream) => void shuffle(deck, stream)
const fewSeeds =
  (seeds: number): Move =>
  (deck, stream) =>
    void shuffle(deck, streamOf(`few-${draw(stream, seeds)}`, 'shuffling'))
const downwards =
  (pick: (random: number, i: number) => number): Move =>
  (deck, stream) => {
    for (let i = deck.length - 1; i > 0; i--) swap(deck, i, pick(random(stream), i))
  }
const byKeys =
  (key: (stream: Stream) => number): Move =>
  (deck, stream) => {
    const keyed = deck.map((card) => ({ card, key: key(stream) })).sort((a, b) => a.key - b.key)
    keyed.forEach(({ card }, i) => (deck[i] = card))
  }
/** Each line is shuffled on its own. */
const byLines =
  (lineOf: (place: number) => number): Move =>
  (deck, stream) => {
    for (const line of new Set(deck.map((_, place) => lineOf(place)))) {
      const places = upTo(deck.length).filter((place) => lineOf(place) === line)
      const cards = shuffle(
        places.map((place) => deck[place]!),
        stream,
      )
      places.forEach((place, i) => (deck[place] = cards[i]!))
    }
  }
const touching = (deck: readonly number[]): boolean =>
  deck.some((pair, i) => (i % 6 < 5 && deck[i + 1] === pair) || deck[i + 6] === pair)
const sorts = MISTAKES['random-comparison']

const FLAWED: [name: string, code: Reason['code'], way: Way, size?: Size][] = [
  ['an insertion sort by chance', 'random-comparison', by(sorts.insertion)],
  ['a binary insertion sort by chance', 'random-comparison', by(sorts['halving insertion']), { deals: 3000 }],
  ['a merge sort by chance', 'random-comparison', by(sorts.merge), { deals: 3000 }],
  ['a quicksort by chance', 'random-comparison', by(sorts.quick)],
  [
    'the sort of this machine by chance',
    'random-comparison',
    by((deck, stream) => void deck.sort(() => random(stream) - 0.5)),
    { deals: 3000 },
  ],
  [
    'a merge sort by chance on 3 × 4',
    'random-comparison',
    by(sorts.merge, smallDeck),
    { ...small, deals: 4000 },
  ],
  ['keys from 0 to n − 1', 'tied-keys', by(byKeys((stream) => draw(stream, 36))), { deals: 10_000 }],
  ['keys from 0 to 9', 'tied-keys', by(byKeys((stream) => draw(stream, 10))), { deals: 5000 }],
  [
    'any place with any, upwards',
    'any-with-any',
    by((deck, stream) => deck.forEach((_, i) => swap(deck, i, draw(stream, 36)))),
    { deals: 5000 },
  ],
  [
    'any place with any, downwards',
    'any-with-any',
    by((deck, stream) => upTo(36).forEach((i) => swap(deck, 35 - i, draw(stream, 36)))),
    { deals: 5000 },
  ],
  ['half as many swaps as cards', 'too-few-swaps', by(swaps(18))],
  ['ten swaps', 'too-few-swaps', by(swaps(10))],
  ['three swaps on 3 × 4', 'too-few-swaps', by(swaps(3), smallDeck), small],
  ['no card may stay, downwards', 'never-stays', by(downwards((u, i) => Math.floor(u * i))), { deals: 5000 }],
  [
    'no card may stay, upwards',
    'never-stays',
    by((deck, stream) => upTo(35).forEach((i) => swap(deck, i, i + 1 + draw(stream, 35 - i)))),
    { deals: 5000 },
  ],
  [
    'the last card is left out',
    'never-moved',
    by((deck, stream) => void deck.push(...shuffle(deck.splice(0, 35), stream), ...deck.splice(0, 1))),
  ],
  [
    'the first card is left out',
    'never-moved',
    by((deck, stream) => void deck.push(...shuffle(deck.splice(1), stream))),
  ],
  [
    'half of the deck is left out',
    'never-moved',
    by((deck, stream) => void deck.push(...shuffle(deck.splice(18), stream))),
  ],
  [
    'each card is drawn on its own',
    'drawn-singly',
    by((deck, stream) => deck.forEach((_, i) => (deck[i] = draw(stream, 18)))),
  ],
  ['fifty seeds', 'few-seeds', by(fewSeeds(50))],
  ['seeds of 16 bits', 'few-seeds', by(fewSeeds(65_536)), { deals: 4000 }],
  ['moved on by one', 'short-cycle', (_, i) => [...deckOf(18).slice(i % 36), ...deckOf(18).slice(0, i % 36)]],
  ['a cut', 'only-cut', by((deck, stream) => void deck.push(...deck.splice(0, draw(stream, 36))))],
  ['no shuffle', 'same-board', by(() => undefined)],
  ['each row', 'rows-alone', by(byLines((place) => Math.floor(place / 6)))],
  ['each column', 'columns-alone', by(byLines((place) => place % 6))],
  [
    'each row of 2 × 4',
    'rows-alone',
    by(
      byLines((place) => Math.floor(place / 4)),
      () => deckOf(4),
    ),
    { board: grid(2, 4), pairs: 4 },
  ],
  [
    'every tenth board twice',
    'dealt-twice',
    (stream, i, last) => (i % 11 === 10 ? [...last] : shuffle(deckOf(18), stream)),
  ],
  ['each board twice', 'dealt-twice', (stream, i, last) => (i % 2 ? [...last] : shuffle(deckOf(18), stream))],
  ['three swaps from the last', 'from-the-last', movedOn(swaps(3))],
  ['twelve swaps from the last', 'from-the-last', movedOn(swaps(12))],
  ['three swaps from the last on 3 × 4', 'from-the-last', movedOn(swaps(3)), small],
  [
    'a cut around a gap',
    'only-cut',
    (stream) => {
      const from = draw(stream, 8)
      const deck = [...deckOf(4).slice(from), ...deckOf(4).slice(0, from)]
      return [...deck.slice(0, 4), -1, ...deck.slice(4)]
    },
    { board: { rows: 3, columns: 3, gaps: ['B2'] }, pairs: 4 },
  ],
  ['a square drawn', 'skewed-draw', by(downwards((u, i) => Math.floor(u * u * (i + 1))))],
  ['a root drawn', 'skewed-draw', by(downwards((u, i) => Math.floor(Math.sqrt(u) * (i + 1))))],
  ['a number rounded', 'skewed-draw', by(downwards((u, i) => Math.round(u * i))), { deals: 5000 }],
  [
    'a square drawn, upwards',
    'skewed-draw',
    by((deck, stream) =>
      upTo(35).forEach((i) => swap(deck, i, i + Math.floor(random(stream) ** 2 * (36 - i)))),
    ),
  ],
  ['a riffle', 'too-few-riffles', by(MISTAKES['too-few-riffles'].one)],
  [
    'dealt again while twins touch',
    'twins-apart',
    by((deck, stream) => {
      do shuffle(deck, stream)
      while (touching(deck))
    }),
    { deals: 500 },
  ],
  [
    'a half of all pairs, twice',
    'twins-apart',
    (stream) => [...shuffle(upTo(18), stream), ...shuffle(upTo(18), stream)],
  ],
  [
    'pairs as one, then moved a little',
    'twins-together',
    (stream) => {
      const deck = shuffle(upTo(18), stream).flatMap((pair) => [pair, pair])
      swaps(6)(deck, stream)
      return deck
    },
    { deals: 500 },
  ],
  [
    'pairs as one',
    'twins-at-fixed-places',
    (stream) => shuffle(upTo(18), stream).flatMap((pair) => [pair, pair]),
  ],
  [
    'one half mirrored',
    'twins-at-fixed-places',
    (stream) => {
      const half = shuffle(upTo(18), stream)
      return [...half, ...half.toReversed()]
    },
  ],
  [
    'each half',
    'favours-start',
    by((deck, stream) =>
      deck.push(...shuffle(deck.splice(0, 18), stream), ...shuffle(deck.splice(0), stream)),
    ),
  ],
]

test.each(FLAWED)('%s is unfair: %s', (name, code, way, size = {}) => {
  const { report, reason } = auditOf(name, way, size)
  expect(report.verdict).toBe('unfair')
  expect(reason?.code).toBe(code)
})

const pile = (deck: number[], take: (deck: number[]) => number[]): void =>
  void deck.push(...take(deck.splice(0)))
/** Each card goes to one of two heaps by a coin, and each heap again, until they are of one card. */
function byCoins(cards: number[], stream: Stream): number[] {
  if (cards.length < 2) return cards
  const heaps: [number[], number[]] = [[], []]
  for (const card of cards) heaps[draw(stream, 2)]!.push(card)
  return heaps.flatMap((heap) => byCoins(heap, stream))
}
/** Two shuffled halves are run together, each card from one of them by how many it still has. */
function byMerging(cards: number[], stream: Stream): number[] {
  if (cards.length < 2) return cards
  const lower = byMerging(cards.splice(cards.length >> 1), stream)
  const upper = byMerging(cards, stream)
  const merged: number[] = []
  while (lower.length + upper.length)
    merged.push((draw(stream, lower.length + upper.length) < upper.length ? upper : lower).shift()!)
  return merged
}
const FAIR: [name: string, way: Way, size?: Size][] = [
  ['downwards', by(fair)],
  ['upwards', by((deck, stream) => upTo(35).forEach((i) => swap(deck, i, i + draw(stream, 36 - i))))],
  ['inside out', by((deck, stream) => upTo(36).forEach((i) => swap(deck, i, draw(stream, i + 1))))],
  ['by a floating number', by(downwards((u, i) => Math.floor(u * (i + 1))))],
  ['by a number cut to a whole one', by(downwards((u, i) => (u * (i + 1)) | 0))],
  [
    'by a remainder',
    by((deck, stream) => upTo(36).forEach((i) => swap(deck, i, (stream.next() >>> 0) % (i + 1)))),
  ],
  ['keys of 32 bits', by(byKeys((stream) => stream.next() >>> 0))],
  ['keys of floating numbers', by(byKeys(random))],
  ['negative keys', by(byKeys((stream) => stream.next()))],
  [
    'taken out by chance',
    by((deck, stream) =>
      pile(deck, (from) => upTo(36).map(() => from.splice(draw(stream, from.length), 1)[0]!)),
    ),
  ],
  [
    'put in by chance',
    by((deck, stream) =>
      pile(deck, (from) => {
        const to: number[] = []
        for (const card of from) to.splice(draw(stream, to.length + 1), 0, card)
        return to
      }),
    ),
  ],
  ['coin by coin', by((deck, stream) => pile(deck, (from) => byCoins(from, stream)))],
  ['merged by what is left', by((deck, stream) => pile(deck, (from) => byMerging(from, stream)))],
  ['a thousand swaps', by(swaps(1000)), { deals: 400 }],
  [
    'twenty riffles',
    by((deck, stream) => upTo(20).forEach(() => MISTAKES['too-few-riffles'].one(deck, stream))),
  ],
  ['shuffled twice', by((deck, stream) => (fair(deck, stream), fair(deck, stream)))],
  ['shuffled, then cut', by((deck, stream) => (fair(deck, stream), deck.push(...deck.splice(0, 11))))],
  [
    'cut, then shuffled',
    by((deck, stream) => (deck.push(...deck.splice(0, draw(stream, 36))), fair(deck, stream))),
  ],
  ['shuffled, then turned round', by((deck, stream) => (fair(deck, stream), deck.reverse()))],
  ['the last deck shuffled on', movedOn(fair)],
  ['keys on the last deck', movedOn(byKeys(random))],
  [
    'seeds of 32 bits',
    by((deck, stream) => void shuffle(deck, streamOf(`${stream.next() >>> 0}`, 'shuffling'))),
  ],
  ['seeds that count up', (_, i) => shuffle(deckOf(18), streamOf(testSeed(`game ${i} `), 'shuffling'))],
  [
    'places shuffled instead of cards',
    (stream) => {
      const laid: number[] = []
      shuffle(upTo(36), stream).forEach((place, i) => (laid[place] = i >> 1))
      return laid
    },
  ],
  [
    'laid in columns',
    by((deck, stream) => {
      fair(deck, stream)
      pile(deck, (from) => upTo(36).map((place) => from[(place % 6) * 6 + Math.floor(place / 6)]!))
    }),
  ],
  [
    'laid to and fro',
    by((deck, stream) => {
      fair(deck, stream)
      pile(deck, (from) => upTo(36).map((i) => from[Math.floor(i / 6) % 2 ? i - (i % 6) + 5 - (i % 6) : i]!))
    }),
  ],
  ['a deck in another order', by(fair, () => upTo(36).map((i) => i % 18))],
  [
    'pairs picked from thirty',
    (stream) => {
      const picked = shuffle(upTo(30), stream).slice(0, 18)
      return shuffle([...picked, ...picked], stream)
    },
    { pairs: 30 },
  ],
  ['four of a kind', by(fair, () => upTo(36).map((i) => i >> 2)), { pairs: 9 }],
  ['some pairs twice', by(fair, () => upTo(36).map((i) => (i >> 1) % 13)), { pairs: 13 }],
  ['2 × 2', by(fair, () => deckOf(2)), { board: grid(2, 2), pairs: 2 }],
  ['3 × 4', by(fair, smallDeck), small],
  ['a row of eight', by(fair, () => deckOf(4)), { board: grid(1, 8), pairs: 4 }],
  [
    'a gap in the middle',
    (stream) => {
      const deck = shuffle(deckOf(4), stream)
      return [...deck.slice(0, 4), -1, ...deck.slice(4)]
    },
    { board: { rows: 3, columns: 3, gaps: ['B2'] }, pairs: 4 },
  ],
]

test.each(FAIR)('%s is fair', (name, way, size = {}) => {
  const { report, reason } = auditOf(name, way, size)
  expect(report.verdict).not.toBe('unfair')
  expect(reason).toBeNull()
})

test('there are thirty of each', () => {
  expect(FAIR.length).toBeGreaterThanOrEqual(30)
  expect(FLAWED.length).toBeGreaterThanOrEqual(30)
})
