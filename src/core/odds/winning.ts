import type { Dealer } from '../deal/deal.ts'
import { PERFECT } from '../settings/mind.ts'
import { BOUNDS } from '../settings/bounds.ts'
import { type Settings } from '../settings/settings.ts'
import { exactOf, exactWins } from './exact.ts'
import { withLever } from './levers.ts'
import { livesNeeded } from './lives.ts'
import { countFor, perfectWins } from './perfect-games.ts'
import { withoutLimits } from './without-limits.ts'

/**
 * Whether a perfect memory wins, limit by limit: a level that it wins in a smaller share of games than BY_LUCK is won
 * by luck alone; in at least WELL of them, fairly.
 */
export const BY_LUCK = 1 / 20
export const WELL = 9 / 10

export type Limit = 'turns' | 'lives' | 'clock'
/**
 * The share of its games that a perfect memory wins under one limit alone. `won` of `games` that were played, or 0 of 0
 * if it is known exactly.
 */
export type LimitWins = { share: number; won: number; games: number }

/** The level with one of its limits alone. */
function only(settings: Settings, by: Limit): Settings {
  const { lives, turns } = settings.limits
  const unlimited = withoutLimits(settings)
  return {
    ...unlimited,
    clock: by === 'clock' ? settings.clock : unlimited.clock,
    limits: {
      ...unlimited.limits,
      lives: by === 'lives' ? lives : null,
      turns: by === 'turns' ? turns : null,
    },
  }
}

/** The results of 20 to 200 games under these limits. Cost: some ms. */
function play(settings: Settings, dealer: Dealer): LimitWins {
  const games = countFor(dealer)
  const won = perfectWins(settings, dealer)
  return { share: won / games, won, games }
}

const exactShare = (share: number): LimitWins => ({ share, won: 0, games: 0 })

/**
 * How often a perfect memory wins under one limit of a level; null if there is no such limit. Exact for turns and lives
 * on different pairs that are shuffled, else by 20 to 200 seeded games.
 */
export function winsUnder(settings: Settings, dealer: Dealer, by: Limit): LimitWins | null {
  const { turns, lives } = settings.limits
  if (by === 'lives') {
    const needed = livesNeeded(settings, dealer)
    if (!needed || lives === null) return null
    const share = needed.share(lives)
    return { share, won: Math.round(share * needed.games), games: needed.games }
  }
  if (by === 'turns') {
    if (turns === null) return null
    const exact = exactly(settings, dealer)
    if (exact) return exactShare(exact(turns))
  } else if (settings.clock.mode !== 'down') return null
  return play(only(settings, by), dealer)
}

/** The share of games that a perfect memory wins, by the number of turns it has, where that is known exactly. */
function exactly(settings: Settings, dealer: Dealer): ((turns: number) => number) | null {
  const exact = exactOf({ settings, dealer }, PERFECT, dealer.cards('winning-1'))
  return exact && ((turns) => exactWins(exact, withLever(withoutLimits(settings), 'turns', turns))!)
}

/**
 * The most severe value of a limit with which a perfect memory wins in 9 of 10 games: turns, lives, or a clock in ms,
 * whole seconds; null if there is none. Under the same conditions as `winsUnder`.
 */
export function valueToWin(settings: Settings, dealer: Dealer, by: Limit): number | null {
  if (by === 'lives') {
    const fewest = livesNeeded(settings, dealer)?.fewest(WELL) ?? 0
    return fewest > 0 && fewest <= BOUNDS.lives[1] ? fewest : null
  }
  const exact = by === 'turns' ? exactly(settings, dealer) : null
  const wins = (value: number): boolean => {
    if (exact) return exact(value) >= WELL
    const trial = withLever(settings, by, by === 'clock' ? value * 1000 : value)
    return play(only(trial, by), dealer).share >= WELL
  }
  let [low, high] =
    by === 'turns' ? [dealer.pairs, BOUNDS.turns[1]] : [BOUNDS.limit[0] / 1000, BOUNDS.limit[1] / 1000]
  // a few doublings are faster than a binary search down from the largest value
  let top = Math.max(2, low * 2)
  while (top < high && !wins(top)) top *= 2
  high = Math.min(high, top)
  if (!wins(high)) return null
  while (low < high) {
    const middle = Math.floor((low + high) / 2)
    if (wins(middle)) high = middle
    else low = middle + 1
  }
  return by === 'clock' ? low * 1000 : low
}
