import type { Mind } from '../settings/mind.ts'
import { joinGames, playGames, SEED, winsOf, type Games, type Playable } from './games.ts'
import { LEVERS, leverSteps, leverValue, withLever, type Lever } from './levers.ts'
import { firstOf, solve, type SolveGoal } from './solve.ts'
import { withoutLimits } from './without-limits.ts'
import { wilson } from './wilson.ts'
import { decidesWins, winsUnderLimits } from './wins-under-limits.ts'

/**
 * What two of the standard minds show about a level: whether hardly any everyday player wins it, or its limit stops no
 * fleeting one. Also whether a level is easier than the one before.
 */

/**
 * A level that a smaller share wins is too hard; one that a larger share wins, although it has a limit, is too easy.
 */
export const HARDLY_ANY = 0.05
export const NEARLY_ALL = 0.98
/** The share that is solved for instead, of everyday players and of fleeting ones. */
export const WANTED = { everyday: 0.7, fleeting: 0.9 } as const

/** How many games are played, lot by lot, fewer if they are long; fewer than `fewest` allow no verdict. */
const GAMES = { most: 100, fewest: 40, lot: 10 } as const
const EFFORT = { most: 100, fewest: 40, turns: 4000 } as const

/**
 * Won games of those played, with the 95 % interval of their share; `unlimited`: the same games with nothing to end
 * them, if these decide which are won.
 */
export type Trial = {
  won: number
  games: number
  interval: readonly [number, number]
  unlimited: Games | null
}

/** The limits that a level has, the most usual one first. */
export const limitsOf = ({ settings }: Playable): Lever[] =>
  LEVERS.slice(0, 3).filter((lever) => leverValue(settings, lever) !== null)

/**
 * The first games of a mind on a level, as Odds plays them; null if they are too long for this many turns. `lost`: it
 * stops once this many are lost.
 */
export function runTrial(level: Playable, mind: Mind, turns: number, lost = Infinity): Trial | null {
  const { settings, dealer } = level
  const follows = decidesWins(settings)
  const unlimited = follows ? withoutLimits(settings) : settings
  // not even one game may take more turns than all of them
  const most = Math.min(turns, unlimited.limits.turns ?? turns)
  const bounded = { ...level, settings: { ...unlimited, limits: { ...unlimited.limits, turns: most } } }
  const lots: Games[] = []
  let [won, games, count] = [0, 0, 0]
  while (games < GAMES.most && games - won < lost && count <= turns) {
    // long games come one by one
    const size = count === 0 ? 1 : Math.max(1, Math.min(GAMES.lot, Math.floor((turns * games) / count / 4)))
    const to = Math.min(GAMES.most, games + size)
    const lot = playGames(bounded, mind, SEED, games + 1, to)
    lots.push(lot)
    games = to
    won += follows ? winsUnderLimits(lot, settings, dealer.pairs) : winsOf(lot)
    for (const one of lot.turns) count += one
  }
  if (games < GAMES.fewest && games - won < lost) return null
  return { won, games, interval: wilson(won, games), unlimited: follows ? joinGames(lots) : null }
}

/**
 * The value of a limit with which a mind wins this share of its games; null if there is none. In: the result of its
 * games. Cost: a ms, or some tens where matches or misses move the clock.
 */
export function valueFor(
  level: Playable,
  { unlimited }: Trial,
  { mind, by, share }: SolveGoal,
): number | null {
  if (!unlimited) {
    const solved = solve(level, { mind, by, share }, SEED, undefined, EFFORT)
    return solved.ok ? solved.value : null
  }
  const { pairs } = level.dealer
  const { count, at } = leverSteps(by, pairs)
  const wins = (step: number): boolean =>
    winsUnderLimits(unlimited, withLever(level.settings, by, at(step)), pairs) >=
    share * unlimited.ends.length
  const index = firstOf(0, count, wins)
  return index < count ? at(index) : null
}
