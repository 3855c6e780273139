import { prepareDeal, type Cells, type Dealer } from '../deal/deal.ts'
import type { Pair } from '../deck/pair.ts'
import type { LostBy } from '../play/events.ts'
import { newRound } from '../play/new-round.ts'
import { resultOf } from '../play/result.ts'
import type { Result } from '../result.ts'
import type { Mind } from '../settings/mind.ts'
import { mindsOf, seatMinds } from '../settings/seats.ts'
import type { Settings } from '../settings/settings.ts'
import { playMinds } from './play-minds.ts'

/**
 * A level that minds play: its resolved settings and its dealer; `rivals`: by seat, the mind that the level gives it.
 * The other seats belong to the mind whose figures are counted.
 */
export type Playable = { settings: Settings; dealer: Dealer; rivals?: readonly (Mind | null)[] }

/** A level of a game, ready to be played by minds, or why it cannot be dealt. In: its resolved settings. */
export function playableOf(
  game: { deck: { pairs: readonly Pair[] }; minds?: readonly Mind[] },
  settings: Settings,
): Result<Playable> {
  const dealer = prepareDeal(game.deck.pairs, settings)
  return dealer.ok
    ? { ok: true, value: { settings, dealer: dealer.value, rivals: seatMinds(settings, mindsOf(game)) } }
    : dealer
}

/** How a simulated game ended; the last was given up, since it came to no end. */
export const ENDS = ['won', 'clock', 'lives', 'turns', 'given-up'] as const
export type End = 'won' | LostBy | 'given-up'

/**
 * The figures kept of each game, as numbers: times in ms; `waited` is the time spent looking at judged cards; `stars`
 * is −1 if the level gives none.
 */
const MEASURES = ['turns', 'time', 'score', 'stars', 'lucky', 'slips', 'waited'] as const
export type Measure = (typeof MEASURES)[number]

/** Games that were played, in the order of their numbers: `ends` by place in ENDS. */
export type Games = { ends: Uint8Array } & Record<Measure, Float64Array>

/** The most turns of a mind that are played on a level; where games are longer there are fewer of them. */
export const TURNS_AT_MOST = 10_000_000

/**
 * How many games of each mind the bench plays on the open level. The shares of wins are then accurate to less than 2 of
 * 100.
 */
export const GAMES = 4000

/** The seed text of all games, if none is given. */
export const SEED = 'odds'

/** The seed text of game `game` (from 1): its deal is that of this seed, unless the level's seed is fixed. */
export const dealSeed = ({ deal }: Settings, seed: string, game: number): string =>
  typeof deal.seed === 'object' ? deal.seed.fixed : `${seed}-${game}`

/**
 * Plays games number `from` to `to` (from 1, both included) of a mind on a level. `seed`: the seed text of all games.
 * The same game comes out whichever others are played.
 */
export function playGames(level: Playable, mind: Mind, seed: string, from: number, to: number): Games {
  const { settings, dealer } = level
  const games = emptyGames(Math.max(0, to - from + 1))
  for (let game = from; game <= to; game++)
    put(games, game - from, playOne(level, dealer.deal(dealSeed(settings, seed, game)), mind, seed, game))
  return games
}

/** The result of one game. */
export type OneGame = { end: End } & Record<Measure, number>

/** Plays one deal. In: the level, the deal's cells, the mind, the seed text of all games and the number of this one. */
export function playOne(level: Playable, cells: Cells, mind: Mind, seed: string, game: number): OneGame {
  const round = newRound(level.settings, cells, false)
  const waited = playMinds(round, level.rivals?.map((rival) => rival ?? mind) ?? [mind], seed, game)
  const { outcome, lostBy, turns, timeUsed: time, score, stars, lucky, slips } = resultOf(round)
  const end = outcome === 'won' ? 'won' : (lostBy ?? 'given-up')
  return { end, turns, time, score, stars: stars ?? -1, lucky, slips, waited }
}

/** How many of these games were won. */
export const winsOf = ({ ends }: Games): number => ends.reduce((sum, end) => sum + Number(end === 0), 0)

function put(games: Games, place: number, one: OneGame): void {
  games.ends[place] = ENDS.indexOf(one.end)
  for (const measure of MEASURES) games[measure][place] = one[measure]
}

/** Room for so many games. */
function emptyGames(count: number): Games {
  const room = MEASURES.map((measure) => [measure, new Float64Array(count)] as const)
  return {
    ends: new Uint8Array(count),
    ...(Object.fromEntries(room) as Record<Measure, Float64Array>),
  }
}

/** Several lots of games as one, in their order. */
export function joinGames(lots: readonly Games[]): Games {
  const all = emptyGames(lots.reduce((sum, { ends }) => sum + ends.length, 0))
  let place = 0
  for (const lot of lots) {
    all.ends.set(lot.ends, place)
    for (const measure of MEASURES) all[measure].set(lot[measure], place)
    place += lot.ends.length
  }
  return all
}
