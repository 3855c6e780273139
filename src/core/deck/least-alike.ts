/**
 * Some of many, chosen so that no two are much alike: their places, rising; the likeness of the two most alike among
 * them, and those two (null if there are not two).
 */
export type LeastAlike = { chosen: number[]; most: number; two: [number, number] | null }

/** From so many of them at least, or all, a choice is begun, and from fewer than twice as many; the best is taken. */
const STARTS = 60

/**
 * Chooses `count` of `size` things so that the two most alike are as little alike as this finds: from many starts the
 * thing least like all chosen ones is added, again and again; then one of the two most alike is exchanged for another
 * while that helps. Always the same choice. In: the likeness of two things, 0 to 1, the same both ways. Source: the
 * greedy heuristic for max-min dispersion of S. S. Ravi, D. J. Rosenkrantz and G. K. Tayi, "Heuristic and special case
 * algorithms for dispersion problems", Operations Research 42 (1994). Cost: size² likenesses, starts × size × count
 * steps.
 */
export function leastAlike(
  size: number,
  count: number,
  likenessOf: (one: number, other: number) => number,
): LeastAlike {
  const table = new Float64Array(size * size)
  for (let one = 0; one < size; one++)
    for (let other = 0; other < one; other++)
      table[one * size + other] = table[other * size + one] = likenessOf(one, other)
  const likeness = (one: number, other: number): number => table[one * size + other]!
  const wanted = Math.max(0, Math.min(count, size))
  let best: LeastAlike = { chosen: [], most: Infinity, two: null }
  const step = Math.max(1, Math.floor(size / STARTS))
  for (let start = 0; start < size && wanted > 0; start += step) {
    const choice = exchanged(size, farthestFrom(start, size, wanted, likeness), likeness)
    if (choice.most < best.most) best = choice
  }
  return { ...best, chosen: best.chosen.sort((a, b) => a - b), most: wanted > 0 ? best.most : 0 }
}

type LikenessOf = (one: number, other: number) => number

/** A choice from one start: the thing least like all chosen ones is added until there are enough. */
function farthestFrom(start: number, size: number, count: number, likeness: LikenessOf): number[] {
  const chosen = [start]
  /** the likeness of each thing to the chosen one that it is most like; those that are chosen are out of the way */
  const nearest = Float64Array.from({ length: size }, (_, i) => likeness(i, start))
  nearest[start] = Infinity
  while (chosen.length < count) {
    const next = nearest.indexOf(Math.min(...nearest))
    chosen.push(next)
    for (let i = 0; i < size; i++) nearest[i] = Math.max(nearest[i]!, likeness(i, next))
    nearest[next] = Infinity
  }
  return chosen
}

/** The choice after every exchange of one of its two most alike that leaves fewer so alike. */
function exchanged(size: number, first: readonly number[], likeness: LikenessOf): LeastAlike {
  const chosen = [...first]
  for (;;) {
    const { most, two } = mostAlike(chosen, likeness)
    if (!two) return { chosen, most, two }
    let exchange: { at: number; to: number; most: number } | null = null
    for (const out of two) {
      const rest = chosen.filter((one) => one !== out)
      for (let to = 0; to < size; to++) {
        if (chosen.includes(to)) continue
        const its = Math.max(...rest.map((one) => likeness(one, to)))
        if (its < (exchange?.most ?? most)) exchange = { at: chosen.indexOf(out), to, most: its }
      }
    }
    if (!exchange) return { chosen, most, two }
    chosen[exchange.at] = exchange.to
  }
}

function mostAlike(chosen: readonly number[], likeness: LikenessOf): Pick<LeastAlike, 'most' | 'two'> {
  let most = 0
  let two: [number, number] | null = null
  chosen.forEach((one, i) => {
    for (const other of chosen.slice(0, i))
      if (!two || likeness(one, other) > most) {
        most = likeness(one, other)
        two = one < other ? [one, other] : [other, one]
      }
  })
  return { most, two }
}
