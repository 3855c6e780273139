import type { Cells } from '../deal/deal.ts'
import type { Settings } from '../settings/settings.ts'
import { repeats } from './repeats.ts'

/**
 * Whether par is what a perfect memory needs on this level: different pairs, shuffled. In: its settings and one of its
 * deals.
 */
export const parHolds = (settings: Pick<Settings, 'fill' | 'deal'>, cells: Cells): boolean =>
  settings.deal.way === 'shuffled' && !repeats(settings, cells)

/** Expected turns and lucky matches of a perfect memory that plays to finish soonest. */
export type Par = { turns: number; lucky: number }

const cache = new Map<number, Par>()

/**
 * Par: what a perfect memory needs for `pairs` different pairs (0 to 200), shuffled, on average, exactly.
 * Each turn it flips an unseen card; if its twin is known it takes it, else it flips another unseen card.
 * Source: the recursion over (single cards known, pairs wholly unseen) of D. J. Velleman and G. S. Warrington, "What to
 * Expect in a Game of Memory", American Mathematical Monthly 120 (2013). Cost: pairs² steps, kept afterwards.
 */
export function par(pairs: number): Par {
  const before = cache.get(pairs)
  if (before) return before
  // table[unseen][single]: the turns left with that many pairs wholly unseen and single cards known
  const table: Par[][] = []
  for (let unseen = 0; unseen <= pairs; unseen++) {
    const row: Par[] = []
    for (let single = 0; single <= pairs - unseen; single++) row.push(rest(table, row, single, unseen))
    table.push(row)
  }
  const value = table[pairs]![0]!
  cache.set(pairs, value)
  return value
}

function rest(table: Par[][], row: Par[], single: number, unseen: number): Par {
  const cards = single + 2 * unseen
  if (cards === 0) return { turns: 0, lucky: 0 }
  const ways: { chance: number; turns: number; lucky: number; then: Par }[] = []
  // the first card's twin is known: it is taken
  if (single > 0) ways.push({ chance: single / cards, turns: 1, lucky: 0, then: row[single - 1]! })
  if (unseen > 0) {
    const fresh = (2 * unseen) / cards
    const others = cards - 1
    const fewer = table[unseen - 1]!
    ways.push({ chance: fresh / others, turns: 1, lucky: 1, then: fewer[single]! })
    // the second card matches a known one: a miss, and a turn to take that pair
    if (single > 0) ways.push({ chance: (fresh * single) / others, turns: 2, lucky: 0, then: fewer[single]! })
    if (unseen > 1)
      ways.push({
        chance: (fresh * (2 * unseen - 2)) / others,
        turns: 1,
        lucky: 0,
        then: table[unseen - 2]![single + 2]!,
      })
  }
  let turns = 0
  let lucky = 0
  for (const way of ways) {
    turns += way.chance * (way.turns + way.then.turns)
    lucky += way.chance * (way.lucky + way.then.lucky)
  }
  return { turns, lucky }
}
