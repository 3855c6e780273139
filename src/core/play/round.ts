import { faceOf, NO_CARD } from '../deck/card.ts'
import type { Cells } from '../deal/deal.ts'
import { BOUNDS, type Settings } from '../game/settings.ts'
import { advance } from './machine.ts'
import type { CardState, Event, LostBy, Phase, Reason } from './events.ts'

/** A time that no round reaches, over twelve days of ms. A small whole number keeps the state's fields quick. */
export const NEVER = 2 ** 30 - 1

// to copy from: a slice is several times as quick as filling a new array
const DOWN: (CardState | null)[] = Array.from({ length: BOUNDS.cards[1] }, () => 'down')
const ZEROS: number[] = Array.from({ length: BOUNDS.pairs[1] * 2 + 2 }, () => 0)

/** What one of several players has done so far. */
export type Seat = { matches: number; misses: number; score: number; streak: number }

/**
 * The state of one round: plain data, changed only by the machine. It is built from the level and a deal; a new round
 * is a new state. All times are whole ms since the deal.
 */
export type Round = {
  readonly rules: Settings
  readonly cells: Cells
  /** cards on the board at the deal */
  readonly cards: number
  phase: Phase
  /** the phase that a pause stands over */
  heldPhase: Phase
  /** up to when everything that fell due has happened */
  at: number
  /** by cell; null where no card was dealt */
  states: (CardState | null)[]
  /** by cell: the turn in which its card was first flipped, 0 for never */
  seenIn: number[]
  /** by face: how many of it lie unmatched and were seen in an earlier turn; follows from seenIn, kept for speed */
  seenFaces: number[]
  /** the cards of this turn, −1 for none */
  first: number
  second: number
  judgedMatch: boolean
  /** when the first look or the look time ends; NEVER while nothing of the kind falls due */
  dueAt: number
  /** when anything at all falls due if nothing is pressed: dueAt or the clock, kept by setClock */
  nextDue: number
  pausedAt: number
  clock: {
    started: boolean
    running: boolean
    /** ms used up to `since` */
    used: number
    /** when the running stretch began */
    since: number
    /** the limit as bonus and penalty have moved it; NEVER unless the mode is `down` */
    limit: number
  }
  /** by player, where there are several; null in a game for one */
  seats: Seat[] | null
  /** whose turn it is, from 0 */
  player: number
  turns: number
  flips: number
  matches: number
  misses: number
  lucky: number
  slips: number
  /** matches in a row, of the player whose turn it is */
  streak: number
  longestStreak: number
  /** of all players together */
  score: number
  /** null: there are no lives to lose */
  lives: number | null
  lostBy: LostBy | null
  refused: Partial<Record<Reason, number>>
  /** everything that happened, in order; null where nobody wants to know (simulations) */
  events: Event[] | null
}

/**
 * A new round of a level. In: its resolved settings and a deal's cells. `listen` keeps the list of events.
 * Without a first look the round is ready at once.
 */
export function newRound(rules: Settings, cells: Cells, listen = true): Round {
  const size = cells.length
  const states = DOWN.slice(0, size)
  let cards = 0
  let highest = 0
  for (let cell = 0; cell < size; cell++) {
    const card = cells[cell]!
    if (card === NO_CARD) states[cell] = null
    else {
      cards++
      if (card > highest) highest = card
    }
  }
  const round: Round = {
    rules,
    cells,
    cards,
    phase: 'first-look',
    heldPhase: 'first-look',
    at: 0,
    states,
    seenIn: ZEROS.slice(0, size),
    seenFaces: ZEROS.slice(0, faceOf(highest) + 2),
    first: -1,
    second: -1,
    judgedMatch: false,
    dueAt: rules.turn.firstLook,
    nextDue: rules.turn.firstLook,
    pausedAt: 0,
    clock: {
      started: false,
      running: false,
      used: 0,
      since: 0,
      limit: rules.clock.mode === 'down' ? rules.clock.limit : NEVER,
    },
    seats: seatsFor(rules),
    player: 0,
    turns: 0,
    flips: 0,
    matches: 0,
    misses: 0,
    lucky: 0,
    slips: 0,
    streak: 0,
    longestStreak: 0,
    score: 0,
    lives: rules.limits.lives,
    lostBy: null,
    refused: {},
    events: listen ? [] : null,
  }
  advance(round, 0)
  return round
}

const seatsFor = (rules: Settings): Seat[] | null =>
  rules.players.names.length > 1
    ? rules.players.names.map(() => ({ matches: 0, misses: 0, score: 0, streak: 0 }))
    : null

/** Whether every pair on the board is matched. */
export const isCleared = (round: Round): boolean => round.matches * 2 === round.cards

export const pairsLeft = (round: Round): number => round.cards / 2 - round.matches

export const isOver = (round: Round): boolean => round.phase === 'won' || round.phase === 'lost'
