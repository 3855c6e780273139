import { comeAgain, drawnPairs } from '../deck/select.ts'
import type { Pair } from '../deck/pair.ts'
import type { Settings } from '../settings/settings.ts'

/** How often each pair of a selection comes on a board that needs more pairs than there are. */
export type Copies =
  | { how: 'evenly'; each: number; more: number; pick: 'random' | 'first' }
  | { how: 'at-random'; most: number; likely: [number, number] }
  | { how: 'counts'; sum: number }

/** Outside of the likely span a pair comes in fewer than this share of boards on either side. */
const SELDOM = 0.05

/**
 * How often pairs come on a board of `needed` pairs. Evenly: `each` pairs of all, and one more of `more` of them. At random: up to `most` of one, in 9 of 10
 * boards a number within `likely`. By counts: their sum. Null where no pair comes again, or none is there.
 */
export function copiesOf(pairs: readonly Pair[], fill: Settings['fill'], needed: number): Copies | null {
  const drawn = drawnPairs(pairs, fill)
  if (fill.repeat === 'counts') return { how: 'counts', sum: drawn.length }
  if (fill.repeat === 'never' || drawn.length === 0 || !comeAgain(drawn, needed)) return null
  const size = drawn.length
  if (fill.repeat === 'at-random')
    return { how: 'at-random', most: needed, likely: likelyCopies(needed, size) }
  return { how: 'evenly', each: Math.floor(needed / size), more: needed % size, pick: fill.pick }
}

/** The span that the copies of one pair keep in 9 of 10 boards at least, of `needed` draws among `size` pairs: the binomial distribution's own quantiles. */
export function likelyCopies(needed: number, size: number): [number, number] {
  if (size === 1) return [needed, needed]
  const share = 1 / size
  let chance = (1 - share) ** needed
  let below = 0
  let low = -1
  for (let copies = 0; copies <= needed; copies++) {
    below += chance
    if (low < 0 && below >= SELDOM) low = copies
    if (below >= 1 - SELDOM) return [low, copies]
    chance *= ((needed - copies) / (copies + 1)) * (share / (1 - share))
  }
  return [Math.max(0, low), needed]
}

/** So many pairs of each, as evenly as can be: the first ones in the deck have one more. In: the pairs to draw from, as indices into the deck. */
export function evenCounts(
  pairs: readonly Pair[],
  selection: readonly number[],
  needed: number,
): Record<string, number> {
  const each = Math.floor(needed / selection.length)
  const more = needed % selection.length
  return Object.fromEntries(selection.map((pair, i) => [pairs[pair]!.id, each + (i < more ? 1 : 0)]))
}
