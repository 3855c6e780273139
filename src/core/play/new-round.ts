import type { Cells } from '../deal/deal.ts'
import { faceIndex, NO_CARD } from '../deck/card.ts'
import { BOUNDS } from '../settings/bounds.ts'
import { type Settings } from '../settings/settings.ts'
import type { CardState } from './events.ts'
import { advance } from './machine.ts'
import { NEVER, type Round, type Seat } from './round.ts'

// copied for each round: a slice is several times as fast as filling a new array
const DOWN: (CardState | null)[] = Array.from({ length: BOUNDS.cards[1] }, () => 'down')
const ZEROS: number[] = Array.from({ length: BOUNDS.pairs[1] * 2 + 2 }, () => 0)

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
    seenFaces: ZEROS.slice(0, faceIndex(highest) + 2),
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
    turnBacks: 0,
    matches: 0,
    misses: 0,
    lucky: 0,
    glimpsed: 0,
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
