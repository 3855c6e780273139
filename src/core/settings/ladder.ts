import type { Level } from './levels.ts'
import { newId } from './new-id.ts'
import { BOUNDS, type Settings } from './settings.ts'

/** One end of a ladder: a full board, its clock in ms (null: none), and its look times in ms. */
export type LadderEnd = {
  rows: number
  columns: number
  limit: number | null
  missLook: number
  firstLook: number
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
  const taken = new Set(levels.map(({ name }) => name))
  const names: string[] = []
  for (let number = levels.length + 1; names.length < count; number++) {
    const name = `Level ${number}`
    if (!taken.has(name)) names.push(name)
  }
  return names
}

/**
 * How many of the first pairs each level draws from, growing evenly from what the first board needs to the whole deck.
 * In: how many pairs each board needs.
 */
export function nestedPairs(needed: readonly number[], deck: number): number[] {
  const [first] = needed
  if (first === undefined) return []
  let before = 0
  return needed.map((pairs, i) => {
    const share = needed.length > 1 ? i / (needed.length - 1) : 1
    const even = Math.round(Math.min(first, deck) + (deck - Math.min(first, deck)) * share)
    return (before = Math.min(deck, Math.max(before, even, pairs)))
  })
}
