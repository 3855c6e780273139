import type { Level } from './levels.ts'
import { newId } from './new-id.ts'
import { BOUNDS } from './bounds.ts'
import { type Settings } from './settings.ts'

/** One end of a ladder: a full board, its clock in ms (null: none), and its look times in ms. */
export type LadderEnd = {
  rows: number
  columns: number
  limit: number | null
  missLook: number
  firstLook: number
}

/** Boards that a ladder may end with: 4 to 18 pairs. */
const LAST_BOARDS = [
  { rows: 2, columns: 4 },
  { rows: 2, columns: 6 },
  { rows: 4, columns: 4 },
  { rows: 4, columns: 5 },
  { rows: 4, columns: 6 },
  { rows: 5, columns: 6 },
  { rows: 6, columns: 6 },
]
/** A clock, in ms for each pair of the board, that stops some players but not all. */
const CLOCK_FOR_PAIR = 7300

/**
 * Two ends to begin with, the easiest and the hardest: from 2 × 4 to the largest board, up to 6 × 6, that this many
 * pairs fill without a repeat.
 */
export function ladderEnds(deck: number): [LadderEnd, LadderEnd] {
  const pairsOf = ({ rows, columns }: { rows: number; columns: number }): number => (rows * columns) / 2
  const clockFor = (board: { rows: number; columns: number }): number =>
    Math.round((pairsOf(board) * CLOCK_FOR_PAIR) / 5000) * 5000
  const [first] = LAST_BOARDS
  const last = deck > 0 ? LAST_BOARDS.findLast((board) => pairsOf(board) <= deck) : LAST_BOARDS.at(-1)
  const from = deck === 0 || deck >= pairsOf(first!) ? first! : { rows: 1, columns: 2 * deck }
  const to = last ?? from
  return [
    { ...from, limit: clockFor(from), missLook: 1200, firstLook: 0 },
    { ...to, limit: clockFor(to), missLook: 800, firstLook: 0 },
  ]
}

/** The most levels that are made at once. */
export const LADDER_LEVELS = [2, 30] as const

/**
 * Boards from one size to another, in even steps of cards: each board has an even number of cards, continues from the
 * one before in the same direction, and is as close as possible to a straight line between the two ends, in its number
 * of cards and in its shape.
 */
export function boardsBetween(
  from: { rows: number; columns: number },
  to: { rows: number; columns: number },
  count: number,
): { rows: number; columns: number }[] {
  const [low, high] = BOUNDS.side
  const all: { rows: number; columns: number }[] = []
  for (let rows = low; rows <= high; rows++)
    for (let columns = low; columns <= high; columns++)
      if ((rows * columns) % 2 === 0 && rows * columns <= BOUNDS.cards[1]) all.push({ rows, columns })
  const cards = (board: { rows: number; columns: number }): number => board.rows * board.columns
  const rises = cards(to) >= cards(from)
  let before = from
  return Array.from({ length: count }, (_, i) => {
    if (i === 0 || i === count - 1) {
      const { rows, columns } = i === 0 ? from : to
      return { rows, columns }
    }
    // each step goes the same way, and none past the last
    const onWay = all.filter((board) =>
      rises
        ? cards(board) >= cards(before) && cards(board) <= cards(to)
        : cards(board) <= cards(before) && cards(board) >= cards(to),
    )
    const share = i / (count - 1)
    const target = cards(from) + (cards(to) - cards(from)) * share
    const shape = Math.log(from.columns / from.rows) * (1 - share) + Math.log(to.columns / to.rows) * share
    const far = (board: { rows: number; columns: number }): number =>
      Math.abs(cards(board) - target) / target + Math.abs(Math.log(board.columns / board.rows) - shape) / 3
    return (before = onWay.reduce((best, board) => (far(board) < far(best) ? board : best)))
  })
}

/**
 * A ladder from its easiest to its hardest end: boards, clocks and look times grow evenly between them. In: how many
 * levels; `taken`, the ids already in use; `names` for the levels; `deck`, if the decks of the levels are nested, the
 * number of pairs. Out: levels that set only this themselves; everything else follows the house rules. There is a clock
 * from the first level on if both ends have one.
 */
export function makeLadder(
  from: LadderEnd,
  to: LadderEnd,
  count: number,
  { taken, names, deck = null }: { taken: readonly string[]; names: readonly string[]; deck?: number | null },
): Level[] {
  const ids = [...taken]
  const between = (a: number, b: number, share: number, step: number): number =>
    Math.round((a + (b - a) * share) / step) * step
  const boards = boardsBetween(from, to, count)
  const firsts =
    deck === null
      ? null
      : nestedPairs(
          boards.map(({ rows, columns }) => (rows * columns) / 2),
          deck,
        )
  return boards.map((board, i) => {
    const share = count > 1 ? i / (count - 1) : 0
    const name = names[i]!
    const id = newId(name, ids, 'level')
    ids.push(id)
    const clock: Partial<Settings['clock']> =
      from.limit !== null && to.limit !== null
        ? { mode: 'down', limit: between(from.limit, to.limit, share, 1000) }
        : { mode: 'off' }
    const turn = {
      firstLook: between(from.firstLook, to.firstLook, share, 100),
      missLook: between(from.missLook, to.missLook, share, 50),
    }
    const fill = firsts ? { fill: { use: { from: 1, to: firsts[i]! } } } : {}
    return { id, name, board: { ...board, gaps: [] }, ...fill, turn, clock }
  })
}

/** Names for this many new levels after those of a ladder: "Level 5", "Level 6", skipping names that are taken. */
export function namesAfter(levels: readonly { name: string }[], count: number): string[] {
  const takenNames = new Set(levels.map(({ name }) => name))
  const names: string[] = []
  for (let number = levels.length + 1; names.length < count; number++) {
    const name = `Level ${number}`
    if (!takenNames.has(name)) names.push(name)
  }
  return names
}

/**
 * How many of the first pairs each level draws from, growing evenly from what the first board needs to the whole deck.
 * In: how many pairs each board needs.
 */
export function nestedPairs(pairCounts: readonly number[], deck: number): number[] {
  const [first] = pairCounts
  if (first === undefined) return []
  let before = 0
  return pairCounts.map((pairs, i) => {
    const share = pairCounts.length > 1 ? i / (pairCounts.length - 1) : 1
    const even = Math.round(Math.min(first, deck) + (deck - Math.min(first, deck)) * share)
    return (before = Math.min(deck, Math.max(before, even, pairs)))
  })
}
