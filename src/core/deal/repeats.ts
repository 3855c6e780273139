import { cardOf, pairOf, sideOf, type Card } from '../deck/card.ts'
import { openCells } from './cells.ts'
import { streamOf } from './seed.ts'
import { keyOf, once, type Board } from './step-rule.ts'
import { cellGraph, type CellGraph } from './steps.ts'
import { layApart } from './swaps.ts'

/** The way `apart` for boards on which some pair lies more than once. */

/** The places too close for matching cards under `apart`, and how many pairs of places these are. */
function tooClose(board: Board, steps: number): { graph: CellGraph; joined: number } {
  const graph = cellGraph(openCells(board), board.columns, (s) => s < steps)
  return { graph, joined: graph.reduce((sum, near) => sum + near.length, 0) / 2 }
}

/** How many pairs of matching cards are too close in a shuffle, on average. */
function meanTooClose(cards: readonly Card[], joined: number): number {
  const size = cards.length
  const copies = new Map<number, number>()
  for (const card of cards) copies.set(card, (copies.get(card) ?? 0) + 1)
  let matching = 0
  for (const [card, count] of copies)
    matching += (card & 2) === 0 ? (count * (count - 1)) / 2 : (count * (copies.get(card ^ 1) ?? 0)) / 2
  return (matching * joined) / ((size * (size - 1)) / 2)
}

/**
 * The largest `apart` at which cards with repeats are found to lie, at most `most`. Searched downwards with one fixed
 * seed: it can be dealt, and no more steps were found in a thorough search. Out: its steps, and cards so laid.
 */
export function apartWithRepeats(
  board: Board,
  cards: readonly Card[],
  most: number,
): { steps: number; laid: Card[] } {
  const kinds = cards.join()
  for (let steps = most; steps > 1; steps--) {
    const laid = once(keyOf(board, 'repeats', steps, kinds), () => {
      const { graph, joined } = tooClose(board, steps)
      const tried = cards.slice()
      return layApart(tried, graph, meanTooClose(cards, joined), streamOf('limit', 'swaps')) ? tried : null
    })
    if (laid) return { steps, laid }
  }
  return { steps: 1, laid: cards.slice() }
}

/** The largest `apart` that a board with these cards, repeats among them, is found to hold; at most `most`. */
export const mostApart = (board: Board, cards: readonly Card[], most: number): number =>
  apartWithRepeats(board, strictest(cards), most).steps

/**
 * Lays the cards of a seed apart. `example` stands for all fills of the level: which pairs repeat may change with the seed,
 * how often they do not. Out: the way to lay them, or the most steps at which they can lie.
 */
export function repeatsApart(
  board: Board,
  steps: number,
  example: readonly Card[],
): ((cards: readonly Card[], seed: string) => Card[]) | { most: number } {
  const found = apartWithRepeats(board, strictest(example), steps)
  if (found.steps < steps) return { most: found.steps }
  const { graph, joined } = tooClose(board, steps)
  return (cards, seed) => {
    const laid = cards.slice()
    const managed = layApart(laid, graph, meanTooClose(cards, joined), streamOf(seed, 'swaps'))
    return managed ? laid : inPlaceOf(found.laid, cards)
  }
}

/** The cards as if every pair were identical, unless all are related: what keeps these apart keeps any others. */
function strictest(cards: readonly Card[]): Card[] {
  return cards.every((card) => (card & 2) === 2)
    ? [...cards]
    : cards.map((card) => cardOf(pairOf(card), 'a', false))
}

/** Cards laid as others were, pair for pair in order of how often they lie there. */
function inPlaceOf(laid: readonly Card[], cards: readonly Card[]): Card[] {
  const ranked = (from: readonly Card[]): number[] => {
    const counts = new Map<number, number>()
    for (const card of from) counts.set(pairOf(card), (counts.get(pairOf(card)) ?? 0) + 1)
    return [...counts.keys()].sort((a, b) => counts.get(b)! - counts.get(a)! || a - b)
  }
  const ranks = ranked(cards)
  const standsFor = new Map(ranked(laid).map((pair, rank) => [pair, ranks[rank]!]))
  const left = new Map<number, { a: Card[]; b: Card[] }>()
  for (const card of cards) {
    const sides = left.get(pairOf(card)) ?? { a: [], b: [] }
    sides[sideOf(card)].push(card)
    left.set(pairOf(card), sides)
  }
  return laid.map((card) => {
    const sides = left.get(standsFor.get(pairOf(card))!)!
    return (sides[sideOf(card)].pop() ?? sides.a.pop() ?? sides.b.pop())!
  })
}
