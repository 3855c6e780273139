import { prepareDeal, type Cells } from '../core/deal/deal.ts'
import { nextSeed } from '../core/deal/seed.ts'
import type { Game } from '../core/game/game.ts'
import { type Level, resolveLevel } from '../core/settings/levels.ts'
import type { Settings } from '../core/settings/settings.ts'
import { advance, apply } from '../core/play/machine.ts'
import type { Event, Input } from '../core/play/events.ts'
import { standingWhen } from '../core/play/tape.ts'
import { isOver, NEVER, type Round } from '../core/play/round.ts'
import { newRound } from '../core/play/new-round.ts'
import type { MessageKey } from '../core/texts/messages.ts'
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
  | 'none'
  | 'start'
  | 'how'
  | 'who'
  | 'pause'
  | 'result'
  | 'brief'
  | 'problem'
  | 'levels'
  | 'languages'
  | 'credits'

/**
 * The state of the table that players touch; everything drawn follows from it. Files beside this one are verbs
 * on it: deal, press, pause here; draw, input, sound, panels elsewhere.
 */
export type Table = {
  readonly game: Game
  readonly art: Art
  /** what everything is said in */
  readonly speech: Speech
  /** whether whoever holds the table wants one round; a level may ask for it too */
  onlyOne?: boolean
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
  /** the panel that the current one lies over */
  below: Panel
  /** whether the panel that tells how to play is still to come */
  opens?: boolean
  /** the kinds of twins, limits and rules that the player was told of */
  readonly toldKinds: Set<MessageKey>
  /** whether it is still to be asked who plays */
  asksWho?: boolean
  /** when the next level takes the place of a short result, by performance.now(); NaN if none does */
  briefUntil: number
  /** whether the game that was just won is the best so far */
  isRecord: boolean
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
  /** whether the keyboard goes to the board when it is drawn next */
  takesKeyboard?: boolean
  /** how many of the round's events have been announced */
  heard: number
  /** whether the board is to be laid anew, or its cards to be drawn anew */
  laysBoard: boolean
  drawsCards: boolean
}

/** What begins anew with each deal. */
const begun = () => ({
  inputs: [] as Input[],
  startedAt: performance.now(),
  held: false,
  below: 'none' as Panel,
  briefUntil: NaN,
  isRecord: false,
  endsAt: NaN,
  heard: 0,
  laysBoard: true,
  drawsCards: false,
})

/** Whether this round is the only one. */
export const isOnlyRound = ({ onlyOne, settings }: Readonly<Table>): boolean =>
  onlyOne === true || settings.finish.rounds === 'one'

export function newTable(game: Game, art: Art, level: Level, speech: Speech): Table {
  return {
    ...begun(),
    game,
    art,
    speech,
    level,
    settings: resolveLevel(game, level),
    seed: '',
    round: null,
    problem: '',
    speed: 1,
    panel: 'none',
    glass: false,
    sound: true,
    ownNames: [],
    toldKinds: new Set(),
    cursor: 0,
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
  Object.assign(table, begun())
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
  const { round, inputs: lastInputs } = standingWhen(table.settings, table.round.cells, inputs, at)
  table.round = round
  seatRivals(table)
  table.inputs = lastInputs
  table.heard = round.events!.length
  table.endsAt = NaN
  table.panel = 'none'
  table.held = true
  table.drawsCards = true
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

/** The time of the next event if nothing is pressed; now, if nothing is due. */
export function nextDue(table: Table): number {
  tick(table)
  const { round, seated } = table
  // something due in the far future is not waited for
  const due = Math.min(round!.nextDue, (MINDS_PLAY ? seated?.dueAt : undefined) ?? NEVER)
  return due === NEVER ? round!.at : due
}

const endOf = (round: Round): number =>
  round.events!.findLast((event) => event.kind === 'won' || event.kind === 'lost')!.at

/** Gives the machine one input, now; while it is a mind's turn, nobody presses for it. */
export function act(
  table: Table,
  input: { do: 'press'; cell: number } | { do: 'turn-back' | 'pause' | 'resume' },
): void {
  if (!table.round) return
  tick(table)
  if (MINDS_PLAY && table.seated?.haveTurn && (input.do === 'press' || input.do === 'turn-back')) return
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
