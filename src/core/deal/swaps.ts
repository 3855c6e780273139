import { isRelated, twinOf, type Card } from '../deck/card.ts'
import { Arrangement, type TooClose } from './arrangement.ts'
import { draw } from './draw.ts'
import type { Stream } from './seed.ts'
import type { CellGraph } from '../board/steps.ts'

/** Swaps tried in a block, for each card; and how many blocks until the odds of a bad swap halve. */
const SWAPS = 20
const PATIENCE = 50

/**
 * Swaps cards until no two matching ones lie too close, for boards on which some pair appears more than once. In: the
 * cards at the start, changed in place; the places that are too close; `blocks`, the most blocks to try. Out: whether
 * it worked. Places to swap are drawn evenly. A swap that makes d more bad neighbours is taken with probability m⁻ᵈ, m
 * the mean number of them in a shuffle, so every arrangement stays within reach and the good ones stay equally likely
 * (N. Metropolis et al., J. Chem. Phys. 21, 1953). The result is checked only after whole blocks, so that a good moment
 * is not picked.
 */
export function swapApart(cards: Card[], close: TooClose, stream: Stream, blocks: number): boolean {
  const size = cards.length
  const arrangement = new Arrangement(cards, close)
  let odds = Math.max(2, Math.ceil(meanTooClose(cards, close.graph)))
  for (let block = 1; arrangement.bad > 0; block++) {
    if (block > blocks) return false
    if (block % PATIENCE === 0) odds *= 2
    for (let tries = SWAPS * size; tries > 0; tries--) {
      const i = draw(stream, size)
      const j = draw(stream, size)
      if (i === j) continue
      const worse = arrangement.worse(i, j)
      if (worse === null) continue
      let taken = true
      for (let d = 0; taken && d < worse; d++) taken = draw(stream, odds) === 0
      if (taken) arrangement.swap(i, j, worse)
    }
  }
  return true
}

/**
 * How many swaps are tried for each bad place in a round, and how many rounds; fewer on large boards, where somebody
 * waits for the answer.
 */
const PARTNERS = 30
const rounds = (cards: number): number => Math.min(200, Math.round(1.6e6 / cards ** 2))

/**
 * Mends an arrangement, to find out whether there is a good one at all: only cards too close to a match are moved, to
 * wherever that makes it no worse. In and out: as `swapApart`. The result is one of many, not a fair draw among them.
 */
export function mendApart(cards: Card[], close: TooClose, stream: Stream): boolean {
  const size = cards.length
  const arrangement = new Arrangement(cards, close)
  for (let round = rounds(size); arrangement.bad > 0 && round > 0; round--)
    for (let place = 0; place < size; place++)
      for (let tries = PARTNERS; tries > 0 && arrangement.badAt(place) > 0; tries--) {
        const other = draw(stream, size)
        const worse = place === other ? null : arrangement.worse(place, other)
        if (worse === null || worse > 0) continue
        arrangement.swap(place, other, worse)
        break
      }
  return arrangement.bad === 0
}

/** How many pairs of matching cards are too close in a shuffle, on average. */
function meanTooClose(cards: readonly Card[], graph: CellGraph): number {
  const size = cards.length
  const joined = graph.reduce((sum, near) => sum + near.length, 0) / 2
  const copies = new Map<number, number>()
  for (const card of cards) copies.set(card, (copies.get(card) ?? 0) + 1)
  let matching = 0
  for (const [card, count] of copies)
    matching += (count * (isRelated(card) ? (copies.get(twinOf(card)) ?? 0) : count - 1)) / 2
  return (matching * joined) / ((size * (size - 1)) / 2)
}
