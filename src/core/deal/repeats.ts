import type { Board } from '../board/cells.ts'
import { cardOf, isRelated, pairOf, sideOf, type Card } from '../deck/card.ts'
import { isProvedTooFar } from './apart-bound.ts'
import { Arrangement, type TooClose } from './arrangement.ts'
import { openCells } from '../board/cells.ts'
import { walkApart } from './chains.ts'
import { contentsOf } from './contents.ts'
import { layOnLattice } from './lattice.ts'
import { streamOf, type Stream } from './seed.ts'
import { shuffle } from './shuffle.ts'
import { keyOf, once, stepLimit } from './step-rule.ts'
import { cellGraph } from '../board/steps.ts'
import { mendApart, swapApart } from './swaps.ts'

/** The way `apart` for boards on which some pair lies more than once. */

/** How many blocks of swaps are tried for a deal. */
const BLOCKS = 400
/**
 * And while finding out whether deals are possible: fewer on large boards, where a block takes long and somebody waits
 * for the answer.
 */
const searchBlocks = (cards: number): number => Math.min(60, Math.round(1.5e8 / cards ** 3))
/** The most kinds of fill that are checked one by one; fewer on large boards for the same reason. */
const mostFills = (cards: number): number => (cards > 100 ? 6 : 24)

/** Cards laid by the rule; `bySwaps`: swaps from a shuffle found it, so swaps can be trusted to find all others. */
type SpreadFill = { laid: Card[]; bySwaps: boolean }
/**
 * The largest `apart` that was found, whether a larger one is proved impossible, and the largest that is not proved
 * impossible.
 */
export type MostApart = { steps: number; proved: boolean; bound: number }

/** The places too close for matching cards under `apart`. */
const tooClose = (board: Board, steps: number): TooClose =>
  once(keyOf(board, 'too close', steps), () => {
    const graph = cellGraph(openCells(board), board.columns, (s) => s < steps)
    const joined = new Uint8Array(graph.length ** 2)
    graph.forEach((near, place) => {
      for (const other of near) joined[place * graph.length + other] = 1
    })
    return { graph, joined }
  })

/**
 * Looks for a way to lay these cards: by swaps from a shuffle; on a lattice; by mending what the swaps left, then the
 * lattice. The same cards always give the same result. If the lattice has no fault there is a way in any case, and
 * swaps are tried half as long.
 */
const search = (board: Board, cards: readonly Card[], steps: number): SpreadFill | null =>
  once(keyOf(board, 'repeats', steps, cards.join()), () => {
    const close = tooClose(board, steps)
    const stream = streamOf('limit', 'swaps')
    const blocks = searchBlocks(cards.length)
    const onLattice = layOnLattice(openCells(board), board.columns, cards, steps)
    const even = new Arrangement(onLattice, close).bad === 0
    const shuffled = shuffle(cards.slice(), stream)
    if (swapApart(shuffled, close, stream, even ? blocks >> 1 : blocks))
      return { laid: shuffled, bySwaps: true }
    if (even || mendApart(onLattice, close, stream)) return { laid: onLattice, bySwaps: false }
    return mendApart(shuffled, close, stream) ? { laid: shuffled, bySwaps: false } : null
  })

/**
 * All kinds of cards that a level's seeds may bring on the board; which pairs repeat may vary, how often they do does
 * not.
 */
export type Fills = readonly (readonly Card[])[]

/** How each kind of fill can be laid, or null if no way was found for one of them. */
function foundFor(board: Board, fills: Fills, steps: number): SpreadFill[] | null {
  // what keeps identical cards apart keeps any others apart too
  const strict = search(board, strictest(fills[0]!), steps)
  if (strict) return fills.map(() => strict)
  if (fills[0]!.every((card) => !isRelated(card)) || fills.length > mostFills(fills[0]!.length)) return null
  const layouts: SpreadFill[] = []
  for (const cards of fills) {
    const one = search(board, cards, steps)
    if (!one) return null
    layouts.push(one)
  }
  return layouts
}

/** The largest `apart` that was found for a board with these cards, repeats among them. */
export const mostApart = (board: Board, fills: Fills): MostApart =>
  once(keyOf(board, 'most', fills.map((cards) => cards.join()).join(' ')), () => {
    // paired off by their matches, all cards lie on a perfect matching of the cells that are far enough apart
    const apart = stepLimit(board, 'apart')
    let bound = 1
    while (bound < apart && !isTooFar(board, fills, bound + 1)) bound++
    let steps = bound
    while (steps > 1 && !foundFor(board, fills, steps)) steps--
    return { steps, proved: steps === bound, bound }
  })

/** Whether some kind of fill provably cannot be laid this far apart. */
export const isTooFar = (board: Board, fills: Fills, steps: number): boolean =>
  fills.some((cards) => isProvedTooFar(board, cards, steps))

/** A way to lay the cards of a seed this far apart, or null if none was found. */
export function repeatsApart(
  board: Board,
  steps: number,
  fills: Fills,
): ((cards: readonly Card[], seed: string) => Card[]) | null {
  const layouts = isTooFar(board, fills, steps) ? null : foundFor(board, fills, steps)
  if (!layouts) return null
  const close = tooClose(board, steps)
  const kinds = new Map(fills.map((cards, i) => [kindOf(cards), layouts[i]!]))
  return (cards, seed) => {
    const { laid, bySwaps } = kinds.get(kindOf(cards))!
    const stream = streamOf(seed, 'swaps')
    if (bySwaps) {
      const swapped = shuffle(cards.slice(), stream)
      if (swapApart(swapped, close, stream, BLOCKS)) return swapped
    }
    const placed = inPlaceOf(laid, cards, streamOf(seed, 'shuffling'))
    walkApart(placed, close.graph, stream)
    return placed
  }
}

/** How many pairs there are of each kind and number of cards, as a text. */
const kindOf = (cards: readonly Card[]): string =>
  contentsOf(cards)
    .map(({ count, related }) => `${count}${related ? 'r' : 'i'}`)
    .sort()
    .join(' ')

/**
 * The cards as if every pair were identical, unless all are related: what keeps these apart keeps any others apart too.
 */
function strictest(cards: readonly Card[]): Card[] {
  return cards.every(isRelated) ? [...cards] : cards.map((card) => cardOf(pairOf(card), 'a', false))
}

/** Cards laid like others: each pair takes, by chance, the place of one with the same number of cards. */
function inPlaceOf(board: readonly Card[], cards: readonly Card[], stream: Stream): Card[] {
  const model = contentsOf(board)
  // related pairs only take each other's places, unless the model treats all pairs alike
  const apart = model.some(({ related }) => related) && model.some(({ related }) => !related)
  const groups = new Map<string, number[]>()
  const keyOfPair = ({ count, related }: { count: number; related: boolean }): string =>
    `${count} ${apart && related}`
  for (const one of contentsOf(cards)) {
    const key = keyOfPair(one)
    groups.set(key, [...(groups.get(key) ?? []), one.pair])
  }
  for (const group of groups.values()) shuffle(group, stream)
  const standsFor = new Map(model.map((one) => [one.pair, groups.get(keyOfPair(one))!.pop()!]))
  const remaining = new Map<number, { a: Card[]; b: Card[] }>()
  for (const card of cards) {
    const sides = remaining.get(pairOf(card)) ?? { a: [], b: [] }
    sides[sideOf(card)].push(card)
    remaining.set(pairOf(card), sides)
  }
  return board.map((card) => {
    const sides = remaining.get(standsFor.get(pairOf(card))!)!
    return (sides[sideOf(card)].pop() ?? sides.a.pop() ?? sides.b.pop())!
  })
}
