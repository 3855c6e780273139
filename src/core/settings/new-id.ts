import { LENGTHS } from './bounds.ts'

/** What an id may be made of: Latin letters, digits, dot, dash and underscore; the first a letter or digit. */
export const ID = /^[A-Za-z0-9][A-Za-z0-9._-]*$/

/**
 * An id made from a name: lower-case Latin letters, digits and dashes; `fallback` if nothing of the name is left.
 * If it is taken, the first free of NAME-2, NAME-3, … is used.
 */
export function newId(name: string, others: Iterable<string>, fallback = 'item'): string {
  const plain = name
    .normalize('NFD')
    .replace(/\p{M}+/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .slice(0, LENGTHS.id - 5)
    .replace(/^-+|-+$/g, '')
  const stem = plain || fallback
  const takenIds = new Set(others)
  if (!takenIds.has(stem)) return stem
  let n = 2
  while (takenIds.has(`${stem}-${n}`)) n++
  return `${stem}-${n}`
}
