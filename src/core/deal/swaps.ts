import { cardsMatch, type Card } from '../deck/card.ts'
import { draw } from './draw.ts'
import type { Stream } from './seed.ts'
import { shuffle } from './shuffle.ts'
import type { CellGraph } from './steps.ts'

/** Swaps tried in a block, for each card; blocks until the odds of a bad swap halve; blocks until it is given up. */
const SWAPS = 20
const PATIENCE = 50
const BLOCKS = 400

/**
 * Lays cards so that no two matching ones lie on joined cells, for boards on which a pair lies more than once. In: the cards, in any
 * order, laid in place; `tooClose`, a graph on their places. Out: whether it was managed.
 * A shuffle, then swaps of two places drawn evenly. A swap that makes d more bad neighbours is taken with probability m⁻ᵈ, m the mean number of
 * them in a shuffle, so every arrangement stays within reach and the good ones stay equally likely (N. Metropolis
 * et al., J. Chem. Phys. 21, 1953). It is looked at only after whole blocks, so that when it is good is left to chance alone.
 */
export function layApart(cards: Card[], tooClose: CellGraph, mean: number, stream: Stream): boolean {
  shuffle(cards, stream)
  const badAt = (place: number): number => {
    let bad = 0
    for (const near of tooClose[place]!) if (cardsMatch(cards[place]!, cards[near]!)) bad++
    return bad
  }
  const swap = (i: number, j: number): void => {
    const card = cards[i]!
    cards[i] = cards[j]!
    cards[j] = card
  }
  // every bad neighbourhood is counted from both its ends
  let bad = cards.reduce((sum, _, place) => sum + badAt(place), 0)
  let odds = Math.max(2, Math.ceil(mean))
  for (let block = 1; bad > 0; block++) {
    if (block > BLOCKS) return false
    if (block % PATIENCE === 0) odds *= 2
    for (let left = SWAPS * cards.length; left > 0; left--) {
      const i = draw(stream, cards.length)
      const j = draw(stream, cards.length)
      if (i === j || cards[i] === cards[j]) continue
      const before = badAt(i) + badAt(j)
      swap(i, j)
      const worse = badAt(i) + badAt(j) - before
      let taken = true
      for (let d = 0; taken && d < worse; d++) taken = draw(stream, odds) === 0
      if (taken) bad += 2 * worse
      else swap(i, j)
    }
  }
  return true
}
