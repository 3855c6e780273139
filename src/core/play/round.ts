import type { Cells } from '../deal/deal.ts'
import type { Settings } from '../settings/settings.ts'
import type { CardState, Event, LostBy, Phase, Refusal } from './events.ts'

/** Later than any time of a round, in ms. A small whole number keeps the state's fields fast. */
export const NEVER = 2 ** 30 - 1

/** The last time of a round, in ms since the deal (about 6 days): there time stands, and presses still count. */
export const LAST_TIME = 2 ** 29

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
  /** the phase that a pause interrupts */
  heldPhase: Phase
  /** everything due up to this time has happened */
  at: number
  /** by cell; null where there is no card */
  states: (CardState | null)[]
  /** by cell: the turn in which its card was first flipped; 0 for never, −1 if it was turned back alone by then */
  seenIn: number[]
  /** by face: how many unmatched cards of it were seen in an earlier turn; follows from seenIn, kept for speed */
  seenFaces: number[]
  /** the cards of this turn, −1 for none */
  first: number
  second: number
  judgedMatch: boolean
  /** when the first look or the look time ends; NEVER if neither is running */
  dueAt: number
  /** when the next thing happens if nothing is pressed: dueAt or the clock, kept by setClock */
  nextDue: number
  pausedAt: number
  clock: {
    started: boolean
    running: boolean
    /** ms used up to `since` */
    used: number
    /** when the clock last started */
    since: number
    /** the limit as bonus and penalty have moved it; NEVER unless the mode is `down` */
    limit: number
  }
  /** by player, if there are several; null in a game for one */
  seats: Seat[] | null
  /** whose turn it is, from 0 */
  player: number
  turns: number
  flips: number
  /** flips whose card was turned back alone, before a second one */
  turnBacks: number
  matches: number
  misses: number
  lucky: number
  glimpsed: number
  slips: number
  /** matches in a row, of the current player */
  streak: number
  longestStreak: number
  /** of all players together */
  score: number
  /** null: there are no lives to lose */
  lives: number | null
  lostBy: LostBy | null
  refused: Partial<Record<Refusal, number>>
  /** everything that happened, in order; null if nobody listens (simulations) */
  events: Event[] | null
}

/** Whether every pair on the board is matched. */
export const isCleared = (round: Round): boolean => round.matches * 2 === round.cards

export const pairsLeft = (round: Round): number => round.cards / 2 - round.matches

export const isOver = (round: Round): boolean => round.phase === 'won' || round.phase === 'lost'
