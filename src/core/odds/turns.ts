/** By number of misses, from 0: how likely a perfect memory is to make exactly that many. They add up to 1. */
export type MissChances = Float64Array

const cache = new Map<number, MissChances>()

/**
 * How many misses a perfect memory makes on a board of `pairs` different pairs (0 to 200), shuffled: exactly, as a
 * chance for each number. It plays as `par` says, and its mean is that of `par`. Source: the recursion of D. J.
 * Velleman and G. S. Warrington, "What to Expect in a Game of Memory", American Mathematical Monthly 120 (2013), over
 * (single cards known, pairs wholly unseen), carried out for each number of misses. Cost: pairs³ steps, once.
 */
export function missChances(pairs: number): MissChances {
  const before = cache.get(pairs)
  if (before) return before
  // a turn leaves a row of the table, or goes one or two rows down, so three rows suffice
  let rows: MissChances[][] = []
  for (let unseen = 0; unseen <= pairs; unseen++) {
    const row: MissChances[] = []
    for (let single = 0; single <= pairs - unseen; single++) row.push(rest(rows, row, single, unseen))
    rows = [row, ...rows.slice(0, 2)]
  }
  const value = rows[0]![0]!
  cache.set(pairs, value)
  return value
}

/** `rows`: those with one and with two unseen pairs less; `row`: this one so far. */
function rest(rows: MissChances[][], row: MissChances[], single: number, unseen: number): MissChances {
  const cards = single + 2 * unseen
  // a miss takes one unseen pair at least
  const sum = new Float64Array(unseen + 1)
  if (cards === 0) {
    sum[0] = 1
    return sum
  }
  const add = (chance: number, misses: number, then: MissChances): void => {
    for (let m = 0; m < then.length && m + misses < sum.length; m++) sum[m + misses]! += chance * then[m]!
  }
  if (single > 0) add(single / cards, 0, row[single - 1]!)
  if (unseen > 0) {
    const fresh = (2 * unseen) / cards / (cards - 1)
    const fewer = rows[0]!
    add(fresh, 0, fewer[single]!)
    if (single > 0) add(fresh * single, 1, fewer[single]!)
    if (unseen > 1) add(fresh * (2 * unseen - 2), 1, rows[1]![single + 2]!)
  }
  return sum
}
