import { prepareDeal } from '../../../../core/deal/deal.ts'
import type { Pair } from '../../../../core/deck/pair.ts'
import { exactOf, exactTurns, exactWins } from '../../../../core/odds/exact.ts'
import { playGames, TURNS_AT_MOST, type Games } from '../../../../core/odds/games.ts'
import { withoutLimits } from '../../../../core/odds/without-limits.ts'
import type { Result } from '../../../../core/result.ts'
import type { Mind } from '../../../../core/settings/mind.ts'
import type { Settings } from '../../../../core/settings/settings.ts'
import type { Report } from './messages.ts'

/** Lots of games of a level, each played by all minds: the first and the last number of each lot. */
export type GamesInput = {
  pairs: Pair[]
  settings: Settings
  rivals: (Mind | null)[]
  minds: Mind[]
  seed: string
  lots: (readonly [from: number, to: number])[]
}
/** What is known exactly of a mind here: its mean turns, and the share of its wins if that is known too. */
export type ExactFigures = { turns: number; wins: number | null }
/**
 * One lot of one mind, by its place among them. `unlimited`: the same games, played on with nothing to end them before
 * the board is cleared; null if nothing ends them.
 */
export type GamesLot = {
  mind: number
  from: number
  games: Games
  unlimited: Games | null
  exact: ExactFigures | null
}

/** Plays lots of games, and gives each lot as a part. */
export function playLotsOfGames(
  { pairs, settings, rivals, minds, seed, lots }: GamesInput,
  { progress, part }: Report<GamesLot>,
): Result<null> {
  const prepared = prepareDeal(pairs, settings)
  if (!prepared.ok) return prepared
  const level = { settings, dealer: prepared.value, rivals }
  const { limits, clock } = settings
  const isLimited = clock.mode === 'down' || limits.lives !== null || limits.turns !== null
  const open = { ...level, settings: withoutLimits(settings) }
  const cells = level.dealer.deal(seed)
  const turns = minds.map(() => 0)
  lots.forEach(([from, to], place) => {
    minds.forEach((mind, at) => {
      // if games are long, fewer of them are played
      if (turns[at]! >= TURNS_AT_MOST) return
      const games = playGames(level, mind, seed, from, to)
      const unlimited = isLimited ? playGames(open, mind, seed, from, to) : null
      for (const count of (unlimited ?? games).turns) turns[at]! += count
      const exact = exactOf(level, mind, cells)
      const exactFigures = exact && { turns: exactTurns(exact), wins: exactWins(exact, settings) }
      part({ mind: at, from, games, unlimited, exact: exactFigures })
    })
    progress((place + 1) / lots.length)
  })
  return { ok: true, value: null }
}
