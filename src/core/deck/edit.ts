import type { Face, Pair } from './pair.ts'
import { newId } from '../settings/new-id.ts'
import { BOUNDS, LENGTHS } from '../settings/bounds.ts'

/** Edits of a deck's pairs, many at once. All take the pairs and return new ones; `ids` selects pairs. */
type Ids = ReadonlySet<string>

export const withoutPairs = (pairs: readonly Pair[], ids: Ids): Pair[] =>
  pairs.filter(({ id }) => !ids.has(id))

/**
 * The pairs with others inserted at a place, under new ids; their names stay. Never more than a deck can hold.
 * Out: all pairs, and the ids of the new ones.
 */
export function withPairs(
  pairs: readonly Pair[],
  added: readonly Pair[],
  at = pairs.length,
): { pairs: Pair[]; ids: string[] } {
  const ids = new Set(pairs.map(({ id }) => id))
  const room = Math.max(0, BOUNDS.pairs[1] - pairs.length)
  const fresh = added.slice(0, room).map((pair) => {
    const id = ids.has(pair.id) ? newId(pair.id, ids, 'pair') : pair.id
    ids.add(id)
    return { ...pair, id }
  })
  return { pairs: [...pairs.slice(0, at), ...fresh, ...pairs.slice(at)], ids: fresh.map(({ id }) => id) }
}

/** Copies of the chosen pairs, behind the last of them. */
export function duplicated(pairs: readonly Pair[], ids: Ids): { pairs: Pair[]; ids: string[] } {
  const chosen = pairs.filter(({ id }) => ids.has(id))
  const last = pairs.findLastIndex(({ id }) => ids.has(id))
  return withPairs(pairs, chosen, last + 1)
}

/**
 * The chosen pairs, in their order, moved together so that the first of them stands at the place `to`, 0 to the number
 * of pairs (less the chosen).
 */
export function moved(pairs: readonly Pair[], ids: Ids, to: number): Pair[] {
  const chosen = pairs.filter(({ id }) => ids.has(id))
  const others = withoutPairs(pairs, ids)
  const at = Math.max(0, Math.min(others.length, to))
  return [...others.slice(0, at), ...chosen, ...others.slice(at)]
}

/**
 * Where `moved` puts the chosen pairs one place earlier (−1) or later (1): a step of the whole group past one other
 * pair.
 */
export function movedBy(pairs: readonly Pair[], ids: Ids, by: number): Pair[] {
  const first = pairs.findIndex(({ id }) => ids.has(id))
  const last = pairs.findLastIndex(({ id }) => ids.has(id))
  if (first < 0) return [...pairs]
  const before = pairs.slice(0, by < 0 ? first : last + 1).filter(({ id }) => !ids.has(id)).length
  return moved(pairs, ids, before + by)
}

/** Tags as a pair may have them: trimmed, none too long, none twice, none empty, and not too many. */
export const tidyTags = (tags: readonly string[]): string[] =>
  [...new Set(tags.map((tag) => tag.trim().slice(0, LENGTHS.tag)).filter(Boolean))].slice(0, BOUNDS.tags[1])

/** The chosen pairs with one tag added or removed. */
export function tagged(pairs: readonly Pair[], ids: Ids, tag: string, on: boolean): Pair[] {
  const word = tag.trim().slice(0, LENGTHS.tag)
  return pairs.map((pair) => {
    if (!ids.has(pair.id) || !word) return pair
    const { tags = [], ...rest } = pair
    const next = on ? tidyTags([...tags, word]) : tags.filter((one) => one !== word)
    return next.length ? { ...rest, tags: next } : rest
  })
}

/** The chosen pairs with the paper or the ink of all their faces changed; null removes it. */
export function coloured(
  pairs: readonly Pair[],
  ids: Ids,
  key: 'paper' | 'ink',
  colour: string | null,
): Pair[] {
  const face = (old: Face): Face => {
    const { [key]: _old, ...rest } = old
    return colour ? { ...rest, [key]: colour } : rest
  }
  return pairs.map((pair) =>
    ids.has(pair.id) ? { ...pair, a: face(pair.a), ...(pair.b ? { b: face(pair.b) } : {}) } : pair,
  )
}
