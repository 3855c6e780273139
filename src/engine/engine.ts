import { layoutIn, type Frame } from '../core/board/frames.ts'
import type { Layout } from '../core/board/geometry.ts'
import { prepareDeal, type Cells } from '../core/deal/deal.ts'
import { isSeed, nextSeed } from '../core/deal/seed.ts'
import type { Card } from '../core/deck/card.ts'
import { NO_CARD } from '../core/deck/card.ts'
import { cardNames } from '../core/deck/card-name.ts'
import { faceOnCard } from '../core/deck/face.ts'
import type { Back, Face, Pair } from '../core/deck/pair.ts'
import { tableOf } from '../core/game/check.ts'
import type { Game } from '../core/game/game.ts'
import { par, parHolds, type Par } from '../core/odds/par.ts'
import type { Event, Input } from '../core/play/events.ts'
import { advance, apply, press } from '../core/play/machine.ts'
import { newRound } from '../core/play/new-round.ts'
import { inOrder, type PlayRecord } from '../core/play/record.ts'
import { replay as playAgain } from '../core/play/replay.ts'
import { resultOf, winners, type RoundResult } from '../core/play/result.ts'
import type { Round } from '../core/play/round.ts'
import { bad, good, quoted, type Problem, type Result } from '../core/result.ts'
import { findLevel, resolveLevel, type Level } from '../core/settings/levels.ts'
import type { Settings } from '../core/settings/settings.ts'

/*
 * The rules as a module for programs of one's own: the same code that the studio and every shipped page play by. Plain
 * values in, plain values out; time and seeds come from the caller. What a caller can do wrong is returned as a
 * problem, not thrown. docs/engine.md has an example for each function.
 */

export { readGame } from './read-game.ts'
export { advance, press, resultOf, winners, isSeed }
export type {
  Back,
  Card,
  Event,
  Face,
  Frame,
  Game,
  Input,
  Layout,
  Level,
  Pair,
  Par,
  PlayRecord,
  Problem,
  Result,
  Round,
  RoundResult,
  Settings,
}

/**
 * One deal: where each card lies, row by row. `cells` names the cards ("cog/a"; null is a gap), `cards` are the same as
 * numbers, as `startRound` takes them.
 */
export type Deal = {
  level: string
  seed: string
  rows: number
  columns: number
  cells: (string | null)[]
  cards: Cells
}

const missing = (level: string): Result<never> => bad('level', `no level ${quoted(level)} in this game`)

/**
 * All settings of a level: its own, and the house rules for the rest. In: a game, and the level's id. Wrong: there is
 * no such level.
 */
export function settingsOf(game: Game, level: string): Result<Settings> {
  const match = findLevel(game, level)
  return match ? good(resolveLevel(game, match)) : missing(level)
}

/**
 * The seed of a level's next deal by its own rule: a new one, today's (UTC), or its fixed one. In: the time in ms since
 * 1970, and a random whole number below 2³².
 */
export function seedFor(game: Game, level: string, now: number, random: number): Result<string> {
  const settings = settingsOf(game, level)
  return settings.ok ? good(nextSeed(settings.value.deal.seed, now, random)) : settings
}

/**
 * Deals a level from a seed, always the same: what `npx lucky-twin deal` prints. In: a game, a level's id, a seed of 1
 * to 64 characters. Wrong: no such level, a seed that is none, or a level that cannot be dealt.
 */
export function deal(game: Game, level: string, seed: string): Result<Deal> {
  const settings = settingsOf(game, level)
  if (!settings.ok) return settings
  if (!isSeed(seed)) return bad('seed', `${quoted(seed)} is not 1 to 64 characters long`)
  const { pairs } = game.deck
  const dealer = prepareDeal(pairs, settings.value)
  if (!dealer.ok) return bad(dealer.problem.at, dealer.problem.message)
  const { rows, columns } = settings.value.board
  const cards = dealer.value.deal(seed)
  const cells = cardNames(cards, pairs)
  return good({ level, seed, rows, columns, cells, cards })
}

/**
 * The face on a card: what to draw and, with the pair's name, what to say. In: a game, and a card as `deal` gives it in
 * `cards`.
 */
export const faceOf = (game: Game, card: Card): Face => faceOnCard(card, game.deck.pairs)

/**
 * A new round: the state of the turn machine, a plain object to read and to draw. Change it with `press`, `turnBack`,
 * `pause`, `resume` and `advance` only.
 */
export function startRound(game: Game, dealt: Pick<Deal, 'level' | 'cards'>): Result<Round> {
  const settings = settingsOf(game, dealt.level)
  return settings.ok ? good(newRound(settings.value, dealt.cards)) : settings
}

/** Turns two missed cards back, where the level waits for a button. In: a round, and the time in ms since the deal. */
export const turnBack = (round: Round, at: number): void => apply(round, { at, do: 'turn-back' })
/** Stops the time. In: a round, and the time in ms since the deal. */
export const pause = (round: Round, at: number): void => apply(round, { at, do: 'pause' })
/** Lets the time run on. In: a round, and the time in ms since the deal. */
export const resume = (round: Round, at: number): void => apply(round, { at, do: 'resume' })
/** Everything that has happened in a round, in order. */
export const eventsOf = (round: Round): readonly Event[] => round.events ?? []

/**
 * Plays a record again. In: a game, and a record of it (the object in a NAME.play.json). Wrong: its level is missing,
 * its deal does not fit, or its times run backwards.
 */
export function replay(
  game: Game,
  record: PlayRecord,
): Result<{ result: RoundResult; events: readonly Event[] }> {
  const wrong = inOrder(record)
  if (wrong) return { ok: false, problem: wrong }
  const table = tableOf(game, record)
  if (!table.ok) return table
  const round = playAgain(table.value.rules, table.value.cells, record)
  return good({ result: resultOf(round), events: eventsOf(round) })
}

/**
 * What a perfect memory needs on average, exactly: turns, and lucky matches. Null where the formula does not hold:
 * repeated pairs, or deals that are not shuffled. Wrong: as `deal`.
 */
export function parOf(game: Game, level: string): Result<Par | null> {
  const dealt = deal(game, level, 'par')
  const settings = settingsOf(game, level)
  if (!dealt.ok) return dealt
  if (!settings.ok) return settings
  const { cards } = dealt.value
  return good(
    parHolds(settings.value, cards) ? par(cards.filter((card) => card !== NO_CARD).length / 2) : null,
  )
}

/**
 * Where each cell lies on a screen, in CSS px, as the player lays it. In: a game, a level's id, the screen's size
 * (`safe` px at each edge are kept free).
 */
export function placesOf(game: Game, level: string, frame: Frame): Result<Layout> {
  const settings = settingsOf(game, level)
  return settings.ok ? good(layoutIn(frame, settings.value)) : settings
}
