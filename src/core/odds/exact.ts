import type { Cells } from '../deal/deal.ts'
import type { Mind } from '../settings/mind.ts'
import type { Settings } from '../settings/settings.ts'
import type { Playable } from './games.ts'
import { parHolds } from './par.ts'
import { repeats } from './repeats.ts'
import { missChances, type MissChances } from './turns.ts'

/**
 * How many misses a mind makes if nothing ends the game before the board is cleared, exactly: a chance for each number,
 * from 0.
 */
export type Exact = { kind: 'perfect' | 'none'; pairs: number; misses: MissChances }

/**
 * The exact distribution of a mind on a level: of a perfect memory on different pairs that are shuffled, and of no
 * memory on different pairs. null in all other cases. `cells`: one of the level's deals.
 */
export function exactOf({ settings, dealer, rivals = [] }: Playable, mind: Mind, cells: Cells): Exact | null {
  if (rivals.some((rival) => rival !== null)) return null
  const kind = kindOf(mind, settings, dealer.pairs * 2)
  if (kind === 'perfect' && parHolds(settings, cells))
    return { kind, pairs: dealer.pairs, misses: missChances(dealer.pairs) }
  if (kind === 'none' && !repeats(settings, cells))
    return { kind, pairs: dealer.pairs, misses: blindMisses(dealer.pairs) }
  return null
}

/** Whether a mind forgets nothing here, or remembers nothing, whatever happens. */
function kindOf({ memory }: Mind, { turn }: Settings, cards: number): Exact['kind'] | null {
  const { notice, hold, fade, blur, glance } = memory
  const cardsSeen = glance > 0 ? Math.floor(turn.firstLook / glance) : 0
  if (notice === 0 || hold === 0 || (fade === 1 && cardsSeen === 0)) return 'none'
  const isPerfect = notice === 1 && fade === 0 && blur === 0 && (hold === null || hold >= cards)
  return isPerfect && cardsSeen === 0 ? 'perfect' : null
}

const cache = new Map<number, MissChances>()

/**
 * How many misses two random presses a turn make on a board of `pairs` different pairs (1 to 200), exactly. With k
 * pairs left a turn matches with chance 1 / (2k − 1), so the misses are a sum of independent geometric variables;
 * chances below about e⁻³⁰ are left out. Source: W. Feller, "An Introduction to Probability Theory and Its
 * Applications" I, chapter XI (generating functions; sums of geometric variables). Cost: pairs³ steps, once.
 */
export function blindMisses(pairs: number): MissChances {
  const before = cache.get(pairs)
  if (before) return before
  const chances = new Float64Array(Math.ceil(pairs * pairs + 14 * pairs ** 1.5 + 60 * pairs))
  chances[0] = 1
  for (let pairsLeft = pairs; pairsLeft >= 1; pairsLeft--) {
    const match = 1 / (2 * pairsLeft - 1)
    let previous = 0
    for (let misses = 0; misses < chances.length; misses++) {
      previous = match * chances[misses]! + (1 - match) * previous
      chances[misses] = previous
    }
  }
  cache.set(pairs, chances)
  return chances
}

/** The mean number of turns. */
export const exactTurns = ({ pairs, misses }: Exact): number =>
  misses.reduce((sum, chance, count) => sum + chance * (pairs + count), 0)

/**
 * The share of games won by these settings, exactly; null if the clock may end them, or lives that slips cost. A
 * perfect memory never slips.
 */
export function exactWins({ kind, pairs, misses }: Exact, { clock, limits }: Settings): number | null {
  const { lives, livesLostOn, turns } = limits
  if (clock.mode === 'down') return null
  const bySlips = lives !== null && livesLostOn === 'slip'
  if (bySlips && kind === 'none') return null
  const most = Math.min(
    turns === null ? Infinity : turns - pairs,
    lives === null || bySlips ? Infinity : lives - 1,
  )
  let share = 0
  for (let count = 0; count < misses.length && count <= most; count++) share += misses[count]!
  return Math.min(1, share)
}
