import { isLoose } from '../../core/game/migrations.ts'

/**
 * The changes between two documents, as plain JSON: a document of a thousand pairs that differs in a name takes one
 * line. Parts that are the same object are skipped, and edits reuse everything they do not touch; so two documents of
 * one history are compared very fast.
 */
export type Change =
  | { at: (string | number)[]; put: unknown }
  | { at: (string | number)[]; drop: true }
  /** in a list: at this place, how many entries to remove, and which to insert */
  | { at: (string | number)[]; from: number; cut: number; put: unknown[] }

/** The changes that turn `one` into `other`. */
export function difference(one: unknown, other: unknown): Change[] {
  const changes: Change[] = []
  compare(one, other, [], changes)
  return changes
}

function compare(one: unknown, other: unknown, at: (string | number)[], changes: Change[]): void {
  if (Object.is(one, other)) return
  if (Array.isArray(one) && Array.isArray(other)) compareLists(one, other, at, changes)
  else if (isLoose(one) && isLoose(other)) {
    for (const key of Object.keys(one))
      if (!Object.hasOwn(other, key) || other[key] === undefined) {
        if (one[key] !== undefined) changes.push({ at: [...at, key], drop: true })
      }
    for (const key of Object.keys(other))
      if (other[key] !== undefined) {
        if (Object.hasOwn(one, key) && one[key] !== undefined)
          compare(one[key], other[key], [...at, key], changes)
        else changes.push({ at: [...at, key], put: other[key] })
      }
  } else changes.push({ at, put: other })
}

function compareLists(
  one: readonly unknown[],
  other: readonly unknown[],
  at: (string | number)[],
  changes: Change[],
): void {
  let start = 0
  while (start < one.length && start < other.length && Object.is(one[start], other[start])) start++
  let end = 0
  while (
    end < one.length - start &&
    end < other.length - start &&
    Object.is(one[one.length - 1 - end], other[other.length - 1 - end])
  )
    end++
  const cut = one.length - end - start
  const put = other.slice(start, other.length - end)
  if (cut === put.length)
    for (let i = 0; i < cut; i++) compare(one[start + i], put[i], [...at, start + i], changes)
  else changes.push({ at, from: start, cut, put })
}

/**
 * A document with these changes; everything else stays the same object. Throws if they are not changes of this
 * document.
 */
export function withChanges<T>(document: T, changes: readonly Change[]): T {
  return changes.reduce<unknown>((now, change) => changedAt(now, change.at, 0, change), document) as T
}

function changedAt(value: unknown, at: readonly (string | number)[], depth: number, change: Change): unknown {
  if (depth === at.length) {
    if (!('from' in change)) return 'put' in change ? change.put : undefined
    if (!Array.isArray(value) || change.from + change.cut > value.length) throw new Error('no such list')
    return [...value.slice(0, change.from), ...change.put, ...value.slice(change.from + change.cut)]
  }
  const key = at[depth]!
  if (Array.isArray(value) && typeof key === 'number' && key < value.length) {
    const next = [...(value as unknown[])]
    next[key] = changedAt(value[key], at, depth + 1, change)
    return next
  }
  if (!isLoose(value) || typeof key !== 'string') throw new Error('no such place')
  if ('drop' in change && depth === at.length - 1) {
    const { [key]: _, ...rest } = value
    return rest
  }
  return {
    ...value,
    [key]: changedAt(Object.hasOwn(value, key) ? value[key] : undefined, at, depth + 1, change),
  }
}
