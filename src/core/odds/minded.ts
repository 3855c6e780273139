import type { Mind } from '../settings/mind.ts'
import { playGames, SEED, type Playable } from './games.ts'
import { LEVERS, leverValue, type Lever } from './levers.ts'
import { solve } from './solve.ts'
import { wilson } from './wilson.ts'

/** What two landmarks among the minds make of a level: whether hardly any everyday player wins it, or its limit stops no fleeting one. Also whether a level is easier than the one before. */

/** A level that fewer of them win is too hard; that more of them win, although it has a limit, is too easy. */
export const HARDLY_ANY = 0.05
export const NEARLY_ALL = 0.98
/** What is solved for instead: so many everyday players win, or so many fleeting ones. */
export const WANTED = { everyday: 0.7, fleeting: 0.9 } as const

/** So many games are played, fewer where they are long; nothing is said by fewer than `fewest`. */
const GAMES = { most: 100, fewest: 40 } as const
const EFFORT = { most: 300, fewest: 60, turns: 15_000 } as const

/** Games that were won, of those that were played, with the 95 % interval of their share. */
export type Tried = { won: number; games: number; interval: readonly [number, number] }

/** The limits that a level has, the most usual one first. */
export const limitsOf = ({ settings }: Playable): Lever[] =>
  LEVERS.slice(0, 3).filter((lever) => leverValue(settings, lever) !== null)

/**
 * The first games of a mind on a level, as Odds plays them; null where they are too long for so many turns. `lost`: it ends after so many that were lost. A level without a limit is won
 * whenever it is played to its end.
 */
export function tryOut(level: Playable, mind: Mind, turns: number, lost = Infinity): Tried | null {
  let won = 0
  let games = 0
  let played = 0
  while (games < GAMES.most && games - won < lost) {
    if (played > turns) break
    const one = playGames(level, mind, SEED, games + 1, games + 1)
    games++
    played += one.turns[0]!
    if (one.ends[0] === 0) won++
  }
  return games < GAMES.fewest && games - won < lost ? null : { won, games, interval: wilson(won, games) }
}

/** The value of a limit with which a mind wins this share of its games; null where there is none. Cost: tens of ms. */
export function valueFor(level: Playable, mind: Mind, by: Lever, share: number): number | null {
  const solved = solve(level, { mind, by, share }, SEED, undefined, EFFORT)
  return solved.ok ? solved.value : null
}
