import type { Pair } from './pair.ts'
import type { Settings, Use } from '../settings/settings.ts'

/** All tags of these pairs, each once, in alphabetical order. */
export function tagsOf(pairs: readonly Pair[]): string[] {
  const all = new Set<string>()
  for (const { tags } of pairs) if (tags) for (const tag of tags) all.add(tag)
  return [...all].sort()
}

/**
 * The pairs that a level uses, as indices into the deck, in deck order. Ids and tags that no pair has, and positions
 * beyond the deck, select nothing; findings report them.
 */
export function selectPairs(pairs: readonly Pair[], use: Use): number[] {
  const all = pairs.map((_, index) => index)
  if (use === 'all') return all
  if ('tags' in use) {
    const chosen = new Set(use.tags)
    return all.filter((index) => pairs[index]!.tags?.some((tag) => chosen.has(tag)))
  }
  if ('pairs' in use) {
    const chosen = new Set(use.pairs)
    return all.filter((index) => chosen.has(pairs[index]!.id))
  }
  return all.slice(use.from - 1, use.to)
}

/**
 * What a level's boards are filled from, as indices into the deck, in deck order: the pairs it uses, or, with counts,
 * each repeated by its count.
 */
export function drawnPairs(pairs: readonly Pair[], { use, repeat, counts }: Settings['fill']): number[] {
  if (repeat !== 'counts') return selectPairs(pairs, use)
  return pairs.flatMap(({ id }, index) =>
    Array.from({ length: Object.hasOwn(counts, id) ? counts[id]! : 0 }, () => index),
  )
}

/**
 * Whether each pair of a board is drawn from all of them, whatever was drawn before, so that chance decides how often
 * one is on it. In: how many pairs there are to draw from, and how many the board needs.
 */
export const drawsWithReplacement = (
  size: number,
  pairCount: number,
  { repeat }: Settings['fill'],
): boolean => repeat === 'with-replacement' || (repeat === 'at-random' && size < pairCount)

/** Whether a board of this many pairs, filled from these, may hold some pair more than once. */
export const comeAgain = (drawn: readonly number[], pairCount: number, fill: Settings['fill']): boolean =>
  drawn.length < pairCount ||
  new Set(drawn).size < drawn.length ||
  (pairCount > 1 && drawsWithReplacement(drawn.length, pairCount, fill))
