import type { Dealer } from '../deal/deal.ts'
import { streamOf } from '../deal/seed.ts'
import { shuffle } from '../deal/shuffle.ts'
import { newRound } from '../play/new-round.ts'
import { BOUNDS, type Settings } from '../settings/settings.ts'
import { livesNeeded } from './lives.ts'
import { parHolds } from './par.ts'
import { cardCells, NATURAL, playPerfectMemory } from './players.ts'
import { missChances } from './turns.ts'
import { unlimited } from './unlimited.ts'

/** Whether a perfect memory wins, limit by limit: a level that it wins in fewer games than BY_LUCK is won by luck alone; in WELL of them, fairly. */
export const BY_LUCK = 1 / 20
export const WELL = 9 / 10

export type Limit = 'turns' | 'lives' | 'clock'
/** In what share of its games a perfect memory wins under one limit alone. `won` of `games` that were played, or 0 of 0 where it is known exactly. */
export type Wins = { share: number; won: number; games: number }

/** So many games are played on small boards, and on larger ones fewer: about so many pairs in all. */
const GAMES = { most: 60, fewest: 20, pairs: 1000 } as const

/** The level with one of its limits alone. */
function only(settings: Settings, by: Limit): Settings {
  const { lives, turns } = settings.limits
  const free = unlimited(settings)
  return {
    ...free,
    clock: by === 'clock' ? settings.clock : free.clock,
    limits: {
      ...free.limits,
      lives: by === 'lives' ? lives : null,
      turns: by === 'turns' ? turns : null,
    },
  }
}

/** Plays games until so many are won, or all. Cost: some ms. */
function play(settings: Settings, dealer: Dealer, enough = Infinity): Wins {
  const most = Math.max(GAMES.fewest, Math.min(GAMES.most, Math.floor(GAMES.pairs / dealer.pairs)))
  let won = 0
  let games = 0
  while (games < most && won < enough) {
    const seed = `winning-${++games}`
    const cells = dealer.cards(seed)
    const round = newRound(settings, cells, false)
    playPerfectMemory(round, shuffle(cardCells(cells), streamOf(seed, 'picking')), NATURAL)
    if (round.phase === 'won') won++
  }
  return { share: won / games, won, games }
}

const known = (share: number): Wins => ({ share, won: 0, games: 0 })

/**
 * How often a perfect memory, at its natural pace, wins under one limit of a level; null where there is no such limit. Exact for turns and lives on different
 * pairs that are shuffled, else by 20 to 60 seeded games; of these no more are played than it takes to know that it is not luck alone.
 */
export function winsUnder(settings: Settings, dealer: Dealer, by: Limit): Wins | null {
  const { turns, lives } = settings.limits
  if (by === 'lives') {
    const needed = livesNeeded(settings, dealer)
    if (!needed || lives === null) return null
    const share = needed.share(lives)
    return { share, won: Math.round(share * needed.games), games: needed.games }
  }
  if (by === 'turns') {
    if (turns === null) return null
    if (parHolds(settings, dealer.cards('winning-1'))) return known(shareInTurns(dealer.pairs, turns))
  } else if (settings.clock.mode !== 'down') return null
  return play(only(settings, by), dealer, Math.ceil(GAMES.most * BY_LUCK))
}

function shareInTurns(pairs: number, turns: number): number {
  let share = 0
  missChances(pairs).forEach((chance, misses) => (share += pairs + misses <= turns ? chance : 0))
  return share
}

/**
 * The most severe value of a limit with which a perfect memory wins in 9 of 10 games: turns, lives, or a clock in ms, whole seconds; null where there is none. Under the same
 * conditions as `winsUnder`.
 */
export function valueToWin(settings: Settings, dealer: Dealer, by: Limit): number | null {
  if (by === 'lives') {
    const fewest = livesNeeded(settings, dealer)?.fewest(WELL) ?? 0
    return fewest > 0 && fewest <= BOUNDS.lives[1] ? fewest : null
  }
  const isExact = by === 'turns' && parHolds(settings, dealer.cards('winning-1'))
  const wins = (value: number): boolean => {
    if (isExact) return shareInTurns(dealer.pairs, value) >= WELL
    const { clock, limits } = settings
    const tried =
      by === 'clock'
        ? { ...settings, clock: { ...clock, limit: value * 1000 } }
        : { ...settings, limits: { ...limits, turns: value } }
    return play(only(tried, by), dealer).share >= WELL
  }
  let [low, high] =
    by === 'turns' ? [dealer.pairs, BOUNDS.turns[1]] : [BOUNDS.limit[0] / 1000, BOUNDS.limit[1] / 1000]
  // a few doublings are quicker than halving down from the largest value
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
