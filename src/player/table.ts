import { prepareDeal, type Cells } from '../core/deal/deal.ts'
import { nextSeed } from '../core/deal/seed.ts'
import type { Game } from '../core/game/game.ts'
import { type Level, resolveLevel } from '../core/settings/levels.ts'
import type { Settings } from '../core/settings/settings.ts'
import { advance, apply } from '../core/play/machine.ts'
import type { Event, Input } from '../core/play/events.ts'
import { standingWhen } from '../core/play/tape.ts'
import { isOver, type Round } from '../core/play/round.ts'
import { newRound } from '../core/play/new-round.ts'
import type { Speech } from '../core/texts/speech.ts'
import type { Art } from './face.ts'
import { MINDS_PLAY } from './minds-play.ts'

/**
 * Minds at the table: whether it is a mind's turn, when it presses next, and what they press up to a time (ms since the
 * deal).
 */
type Seated = { readonly haveTurn: boolean; readonly dueAt: number; next(now: number): Input | null }
/** What a table can do with minds. Missing where there are none, so that nobody has to load them. */
export type Rivals = {
  /** the settings of a round, with the chosen rival */
  settle(table: Readonly<Table>, settings: Settings): Settings
  /** who plays beside persons in the current round; null if nobody does */
  seat(table: Readonly<Table>): Seated | null
  /** whether somebody who plays alone is asked whom to play against */
  mayChoose(table: Readonly<Table>): boolean
  /** asks for it; the same deal is then dealt again, against the chosen rival */
  panel(table: Table, deal: (level: Level, seed: string) => void): HTMLElement
}

/**
 * `start`: how to play, before the first turn; `who`: the players enter their names; `brief`: a short result before the
 * next level begins by itself. The third line lies over another panel and leads back to it.
 */
type Panel =
  'none' | 'start' | 'who' | 'pause' | 'result' | 'brief' | 'problem' | 'levels' | 'languages' | 'credits'

/**
 * The state of the table that players touch; everything drawn follows from it. Files beside this one are verbs
 * on it: deal, press, pause here; draw, input, sound, panels elsewhere.
 */
export type Table = {
  readonly game: Game
  readonly art: Art
  /** what everything is said in */
  readonly speech: Speech
  level: Level
  settings: Settings
  seed: string
  /** null: this level cannot be dealt; `problem` says why */
  round: Round | null
  problem: string
  /** what the player did in this round, with times: enough for a record */
  inputs: Input[]
  /** performance.now() of the deal, adjusted so that elapsed × speed is the round's time */
  startedAt: number
  speed: number
  /** time stands still until something is pressed: the author looks at a moment of the game */
  held: boolean
  panel: Panel
  /** when the panel for the end opens, in the round's ms; NaN while the round is open */
  endsAt: number
  glass: boolean
  /** whether the player wants sound; a level may still be silent */
  sound: boolean
  /**
   * the names that the players gave themselves, by their place at the table; empty where the game's own name applies
   */
  ownNames: readonly string[]
  /** where minds can play */
  rivals?: Rivals
  /** the id of the mind that somebody who plays alone chose to play against */
  rival?: string
  /** the minds in the current round; null if none plays, missing where minds cannot play */
  seated?: Seated | null
  /** the cell that has the keyboard */
  cursor: number
  /** how many of the round's events have been announced */
  heard: number
}

export function newTable(game: Game, art: Art, level: Level, speech: Speech): Table {
  return {
    game,
    art,
    speech,
    level,
    settings: resolveLevel(game, level),
    seed: '',
    round: null,
    problem: '',
    inputs: [],
    startedAt: 0,
    speed: 1,
    held: false,
    panel: 'none',
    endsAt: NaN,
    glass: false,
    sound: true,
    ownNames: [],
    cursor: 0,
    heard: 0,
  }
}

/**
 * A new round of a level. Without a seed, the level's own rule gives the next one; `cells` are used instead of the
 * seed's deal.
 */
export function dealTable(table: Table, level: Level, seed?: string, cells?: Cells): void {
  const own = resolveLevel(table.game, level)
  const settings = (MINDS_PLAY && table.rivals?.settle(table, own)) || own
  const fresh = crypto.getRandomValues(new Uint32Array(1))[0]!
  table.level = level
  table.settings = settings
  table.seed = seed ?? nextSeed(settings.deal.seed, Date.now(), fresh)
  table.inputs = []
  table.heard = 0
  table.endsAt = NaN
  table.startedAt = performance.now()
  table.held = false
  const dealer = prepareDeal(table.game.deck.pairs, settings)
  table.round = dealer.ok ? newRound(settings, cells ?? dealer.value.deal(table.seed)) : null
  seatRivals(table)
  table.problem = dealer.ok ? '' : dealer.problem.message
  table.panel = dealer.ok ? 'none' : 'problem'
  table.cursor = Math.max(0, table.round?.states.findIndex((state) => state !== null) ?? 0)
}

/** Gives minds their seats at a new round. */
function seatRivals(table: Table): void {
  if (MINDS_PLAY) table.seated = table.rivals?.seat(table)
}

/** The round's time now, in whole ms since the deal. */
export const timeNow = (table: Table): number =>
  table.held
    ? (table.round?.at ?? 0)
    : Math.max(table.round?.at ?? 0, Math.floor((performance.now() - table.startedAt) * table.speed))

/** Lets the round's time run on from where it is, at a multiple of the real speed. */
export function runAt(table: Table, speed: number): void {
  const at = timeNow(table)
  table.speed = speed
  table.held = false
  table.startedAt = performance.now() - at / speed
}

/** Replays these inputs on the same deal up to a time in ms, and holds the round there. */
export function standTable(table: Table, inputs: readonly Input[], at: number): void {
  if (!table.round) return
  const { round, inputs: used } = standingWhen(table.settings, table.round.cells, inputs, at)
  table.round = round
  seatRivals(table)
  table.inputs = used
  table.heard = round.events!.length
  table.endsAt = NaN
  table.panel = 'none'
  table.held = true
}

/** Lets time pass up to now; minds press as it passes. Out: whether the panel for the end is due. */
export function tick(table: Table): boolean {
  const { round } = table
  if (!round) return false
  const now = timeNow(table)
  for (let input; MINDS_PLAY && (input = table.seated?.next(now));) {
    table.inputs.push(input)
    apply(round, input)
  }
  advance(round, now)
  if (isOver(round) && Number.isNaN(table.endsAt)) table.endsAt = endOf(round) + table.settings.finish.wait
  return table.panel === 'none' && round.at >= table.endsAt
}

const endOf = (round: Round): number =>
  round.events!.findLast((event) => event.kind === 'won' || event.kind === 'lost')!.at

/** Gives the machine one input, now. */
export function act(
  table: Table,
  input: { do: 'press'; cell: number } | { do: 'turn-back' | 'pause' | 'resume' },
): void {
  if (!table.round) return
  if (table.held) runAt(table, table.speed)
  const timed: Input = { at: timeNow(table), ...input }
  table.inputs.push(timed)
  apply(table.round, timed)
}

/** The events since the last call. */
export function newEvents(table: Table): Event[] {
  const events = table.round?.events?.slice(table.heard) ?? []
  table.heard += events.length
  return events
}

/** The players, by the names they gave themselves or the game's. */
export const playerNames = (table: Table): string[] =>
  givenNames(table).map((name, at) => table.ownNames[at] || name)

/** The players by the names that the game gives them; those that only have a number, in the table's language. */
export const givenNames = ({ settings, speech }: Table): string[] =>
  settings.players.names.map((name, at) =>
    name === `Player ${at + 1}` ? speech.say('playerNumber', { n: at + 1 }) : name,
  )

/** The level after this one on the ladder, or undefined. */
export const nextLevel = (table: Table): Level | undefined =>
  table.game.levels[table.game.levels.findIndex(({ id }) => id === table.level.id) + 1]
