/** Whether two lists have the very same members in the same order. */
export const sameMembers = (one: readonly unknown[], other: readonly unknown[]): boolean =>
  one.length === other.length && one.every((member, i) => member === other[i])

/**
 * A list as slices of `size` members each, the last one shorter. A slice with the same members as the one `before`
 * stays the same value, so that what depends on it is not made anew.
 */
export function slicesOf<T>(
  list: readonly T[],
  size: number,
  before: readonly (readonly T[])[] = [],
): (readonly T[])[] {
  return Array.from({ length: Math.ceil(list.length / size) }, (_, i) => {
    const slice = list.slice(i * size, (i + 1) * size)
    return before[i] && sameMembers(before[i], slice) ? before[i] : slice
  })
}
