import { layoutIn, type Frame } from '../core/board/frames.ts'
import type { Layout, Place } from '../core/board/geometry.ts'
import { arrangedCells } from '../core/deal/arranged.ts'
import { prepareDeal } from '../core/deal/deal.ts'
import * as seeds from '../core/deal/seed.ts'
import type { Card } from '../core/deck/card.ts'
import { NO_CARD, pairOf } from '../core/deck/card.ts'
import { cardNames } from '../core/deck/card-name.ts'
import { faceOnCard } from '../core/deck/face.ts'
import type { Back } from '../core/settings/back.ts'
import type { Face, Pair } from '../core/deck/pair.ts'
import { tableOf } from '../core/game/check.ts'
import type { Game } from '../core/game/game.ts'
import { par, parHolds, type Par } from '../core/odds/par.ts'
import type { CardState, Event, Input, Outcome, Phase } from '../core/play/events.ts'
import * as machine from '../core/play/machine.ts'
import { newRound } from '../core/play/new-round.ts'
import { givenProblem, inOrder, timeProblem, type Expected, type PlayRecord } from '../core/play/record.ts'
import { replay as playAgain } from '../core/play/replay.ts'
import { resultOf as figuresOf, winners, type RoundResult as Figures } from '../core/play/result.ts'
import { LAST_TIME, type Round as OpenRound } from '../core/play/round.ts'
import { bad, good, quoted, type Problem, type Result } from '../core/result.ts'
import { findLevel, resolveLevel, type Level } from '../core/settings/levels.ts'
import { BOUNDS } from '../core/settings/bounds.ts'
import { type Settings } from '../core/settings/settings.ts'

/*
 * The rules as a module for programs of one's own: the same code that the studio and every shipped page play by. Plain
 * values in, plain values out; time and seeds come from the caller. What a caller can do wrong is returned as a
 * problem, not thrown. docs/engine.md has an example for each function.
 */

export { readGame } from './read-game.ts'
export { winners, LAST_TIME }
export type {
  Back,
  Card,
  CardState,
  Face,
  Frame,
  Game,
  Input,
  Level,
  Outcome,
  Pair,
  Par,
  Phase,
  Place,
  PlayRecord,
  Problem,
  Result,
}

/** What a program gets is to be read, and is changed by the functions here only. */
type ReadOnly<T> = T extends (infer Entry)[]
  ? readonly ReadOnly<Entry>[]
  : T extends object
    ? { readonly [Key in keyof T]: ReadOnly<T[Key]> }
    : T
/** The state of a round. */
export type Round = ReadOnly<OpenRound>
/** What happened, when (ms since the deal), and the phase right after it. */
export type RoundEvent = ReadOnly<Event>
/** The figures of a round. */
export type RoundResult = ReadOnly<Figures>
/** All settings of a level. */
export type LevelSettings = ReadOnly<Settings>
/** Where the cells lie on a screen. */
export type BoardLayout = ReadOnly<Layout>

/**
 * One deal: where each card lies, row by row. `cells` names the cards ("cog/a"; null is a gap), `cards` are the same as
 * numbers, as `faceOf` takes them.
 */
export type Deal = ReadOnly<{
  level: string
  seed: string
  rows: number
  columns: number
  cells: (string | null)[]
  cards: Card[]
}>

const noLevel = (level: string): Result<never> => bad('level', `no level ${quoted(level)} in this game`)

/**
 * All settings of a level: its own, and the house rules for the rest. In: a game, and the level's id. Wrong: there is
 * no such level, or its board or its counts of pairs are out of bounds.
 */
export function settingsOf(game: Game, level: string): Result<LevelSettings> {
  return rulesOf(game, level)
}

function rulesOf(game: Game, level: string): Result<Settings> {
  const match = findLevel(game, level)
  if (!match) return noLevel(level)
  const settings = resolveLevel(game, match)
  const { board, fill } = settings
  const problem =
    boundProblem('board.rows', board.rows, BOUNDS.side) ??
    boundProblem('board.columns', board.columns, BOUNDS.side) ??
    firstOf(Object.entries(fill.counts), ([id, count]) =>
      boundProblem(`fill.counts.${id}`, count, BOUNDS.count),
    )
  return problem ? { ok: false, problem } : good(settings)
}

function boundProblem(at: string, value: number, [least, most]: readonly [number, number]): Problem | null {
  if (Number.isInteger(value) && value >= least && value <= most) return null
  return { at, message: `${value} is not a whole number from ${least} to ${most}` }
}

/** The first answer that is not null. */
function firstOf<T>(
  entries: readonly T[],
  problemOf: (entry: T, index: number) => Problem | null,
): Problem | null {
  for (const [index, entry] of entries.entries()) {
    const problem = problemOf(entry, index)
    if (problem) return problem
  }
  return null
}

/** Whether a value can be a seed: a text of 1 to 64 characters. */
export const isSeed = (value: unknown): value is string => typeof value === 'string' && seeds.isSeed(value)

/**
 * The seed of a level's next deal by its own rule: a new one, today's (UTC), or its fixed one. In: the time in ms since
 * 1970, and a random whole number below 2³².
 */
export function seedFor(game: Game, level: string, now: number, random: number): Result<string> {
  const settings = rulesOf(game, level)
  return settings.ok ? good(seeds.nextSeed(settings.value.deal.seed, now, random)) : settings
}

/**
 * Deals a level from a seed, always the same: what `npx lucky-twin deal` prints. In: a game, a level's id, a seed of 1
 * to 64 characters. Wrong: no such level, a seed that is none, or a level that cannot be dealt.
 */
export function deal(game: Game, level: string, seed: string): Result<Deal> {
  const settings = rulesOf(game, level)
  if (!settings.ok) return settings
  if (!isSeed(seed)) return bad('seed', `${quoted(String(seed))} is not a text of 1 to 64 characters`)
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
 * `cards`. Wrong: a gap (−1), or no card of this deck.
 */
export function faceOf(game: Game, card: Card): Result<Face> {
  const { pairs } = game.deck
  const pair = Number.isInteger(card) && card >= 0 ? pairs[pairOf(card)] : undefined
  return pair ? good(faceOnCard(card, pairs)) : bad('card', `${card} is not a card of this deck`)
}

/**
 * A new round: the state of the turn machine, a plain object to read and to draw. Change it with `press`, `turnBack`,
 * `pause`, `resume` and `advance` only. In: a game, and a level with its cards by name as `deal` gives them. Wrong: no
 * such level, or these cards do not make its board.
 */
export function startRound(game: Game, deal: Pick<Deal, 'level' | 'cells'>): Result<Round> {
  const settings = rulesOf(game, deal.level)
  if (!settings.ok) return settings
  if (!Array.isArray(deal.cells)) return bad('cells', 'are missing')
  const cells = arrangedCells(game.deck.pairs, settings.value.board, deal.cells)
  return cells.ok
    ? good(newRound(settings.value, cells.value))
    : bad(cells.problem.at.replace('arranged', 'cells'), cells.problem.message)
}

/*
 * What changes a round. In: a round, and the time in ms since the deal, from 0 to LAST_TIME (an earlier one than the
 * round's own counts as that). Out: the round. Wrong: the time is not one of those; then nothing has changed.
 */

function inTime(round: Round, at: number, act: (open: OpenRound) => void): Result<Round> {
  const problem = timeProblem('at', at)
  if (problem) return { ok: false, problem }
  // to a program a round is to be read; here it is changed
  act(round as OpenRound)
  return good(round)
}
/** A press on a cell (from 0, row by row). A press that the rules refuse counts in `refused`, and is no problem. */
export const press = (round: Round, at: number, cell: number): Result<Round> =>
  inTime(round, at, (open) => machine.press(open, at, cell))
/** Lets time pass: what is due by then happens. */
export const advance = (round: Round, at: number): Result<Round> =>
  inTime(round, at, (open) => machine.advance(open, at))
/** Turns two missed cards back, where the level waits for a button. */
export const turnBack = (round: Round, at: number): Result<Round> =>
  inTime(round, at, (open) => machine.apply(open, { at, do: 'turn-back' }))
/** Stops the time. */
export const pause = (round: Round, at: number): Result<Round> =>
  inTime(round, at, (open) => machine.apply(open, { at, do: 'pause' }))
/** Lets the time run on. */
export const resume = (round: Round, at: number): Result<Round> =>
  inTime(round, at, (open) => machine.apply(open, { at, do: 'resume' }))
/** Everything that has happened in a round, in order. */
export const eventsOf = (round: Round): readonly RoundEvent[] => round.events ?? []
/** The figures of a round, over or not. */
export const resultOf = (round: Round): RoundResult => figuresOf(round as OpenRound)

/**
 * Plays a record again. In: a game, and a record of it (the object in a NAME.play.json); the level and the seed that
 * were given, where it has to prove that these were played. Wrong: a part of it is missing, its deal does not fit, its
 * times are none of a round or run backwards, or it is of another level or seed than the given ones.
 */
export function replay(
  game: Game,
  record: PlayRecord,
  expected: Expected = {},
): Result<{ result: RoundResult; events: readonly RoundEvent[] }> {
  const problem = partProblem(record) ?? givenProblem(record, expected) ?? inOrder(record)
  if (problem) return { ok: false, problem }
  const settings = rulesOf(game, record.level)
  if (!settings.ok) return settings
  const table = tableOf(game, record)
  if (!table.ok) return table
  const round = playAgain(table.value.rules, table.value.cells, record)
  return good({ result: figuresOf(round), events: eventsOf(round) })
}

const ACTS: readonly unknown[] = ['press', 'turn-back', 'pause', 'resume'] satisfies Input['do'][]

/** The first part that a record has to have and this one has not; it may come from anywhere. */
function partProblem({ deal: recordDeal, seed, inputs }: Partial<PlayRecord>): Problem | null {
  if (recordDeal !== undefined && !Array.isArray(recordDeal))
    return { at: 'deal', message: 'is not a list of cards' }
  if (!isSeed(seed)) return { at: 'seed', message: 'is not a text of 1 to 64 characters' }
  if (!Array.isArray(inputs)) return { at: 'inputs', message: 'are missing' }
  return firstOf(inputs as Partial<Input & { cell: number }>[], (input, i) =>
    !ACTS.includes(input?.do) || (input.do === 'press' && !Number.isInteger(input.cell))
      ? { at: `inputs[${i}]`, message: 'is not a press on a cell, turn-back, pause or resume' }
      : null,
  )
}

/**
 * What a perfect memory needs on average, exactly: turns, and lucky matches. Null where the formula does not hold:
 * repeated pairs, or deals that are not shuffled. Wrong: as `deal`.
 */
export function parOf(game: Game, level: string): Result<Par | null> {
  const sample = deal(game, level, 'par')
  const settings = rulesOf(game, level)
  if (!sample.ok) return sample
  if (!settings.ok) return settings
  const { cards } = sample.value
  return good(
    parHolds(settings.value, cards) ? par(cards.filter((card) => card !== NO_CARD).length / 2) : null,
  )
}

/**
 * Where each cell lies on a screen, in CSS px, as the player lays it. In: a game, a level's id, the screen's size
 * (`safe` px at each edge are kept free).
 */
export function placesOf(game: Game, level: string, frame: Frame): Result<BoardLayout> {
  const settings = rulesOf(game, level)
  return settings.ok ? good(layoutIn(frame, settings.value)) : settings
}
