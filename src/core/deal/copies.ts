import { comeAgain, drawnPairs, drawsWithReplacement } from '../deck/select.ts'
import type { Pair } from '../deck/pair.ts'
import type { Settings } from '../settings/settings.ts'

/** How often each pair of a selection appears on a board that needs more pairs than there are. */
export type Copies =
  | { how: 'evenly'; each: number; more: number; pick: 'random' | 'first' }
  | { how: 'at-random'; most: number; likely: [number, number] }
  | { how: 'counts'; sum: number }

/** Beyond the likely span on either side, a pair appears on fewer than this share of boards. */
const SELDOM = 0.05

/**
 * How often pairs appear on a board of `needed` pairs. Evenly: `each` times for all, once more for `more` of them. At
 * random: up to `most` times for one, on 9 of 10 boards within `likely`. By counts: their sum. Null if no pair repeats,
 * or there are no pairs.
 */
export function copiesOf(pairs: readonly Pair[], fill: Settings['fill'], pairCount: number): Copies | null {
  const selection = drawnPairs(pairs, fill)
  if (fill.repeat === 'counts') return { how: 'counts', sum: selection.length }
  if (fill.repeat === 'never' || selection.length === 0 || !comeAgain(selection, pairCount, fill)) return null
  const size = selection.length
  if (drawsWithReplacement(size, pairCount, fill))
    return { how: 'at-random', most: pairCount, likely: likelyCopies(pairCount, size) }
  return { how: 'evenly', each: Math.floor(pairCount / size), more: pairCount % size, pick: fill.pick }
}

/**
 * The span that holds the copies of one pair on at least 9 of 10 boards, for `needed` draws among `size` pairs:
 * quantiles of the binomial distribution.
 */
export function likelyCopies(pairCount: number, size: number): [number, number] {
  if (size === 1) return [pairCount, pairCount]
  const share = 1 / size
  let chance = (1 - share) ** pairCount
  let below = 0
  let low = -1
  for (let copies = 0; copies <= pairCount; copies++) {
    below += chance
    if (low < 0 && below >= SELDOM) low = copies
    if (below >= 1 - SELDOM) return [low, copies]
    chance *= ((pairCount - copies) / (copies + 1)) * (share / (1 - share))
  }
  return [Math.max(0, low), pairCount]
}

/**
 * How many pairs of each, as even as possible: the first ones in the deck get one more. In: the pairs to draw from, as
 * indices into the deck.
 */
export function evenCounts(
  pairs: readonly Pair[],
  selection: readonly number[],
  pairCount: number,
): Record<string, number> {
  const each = Math.floor(pairCount / selection.length)
  const more = pairCount % selection.length
  return Object.fromEntries(selection.map((pair, i) => [pairs[pair]!.id, each + (i < more ? 1 : 0)]))
}
