/** The closed sets and the events of the turn machine; all plain data. */

export type Phase = 'first-look' | 'ready' | 'one-up' | 'judged' | 'paused' | 'won' | 'lost'

/** Why a press is refused; where several apply, the first in this order. */
export const REFUSALS = [
  'finished',
  'paused',
  'first-look',
  'locked',
  'no-card',
  'matched',
  'face-up',
] as const
export type Refusal = (typeof REFUSALS)[number]

export const CARD_STATES = ['down', 'up', 'matched', 'gone'] as const
export type CardState = (typeof CARD_STATES)[number]

/** How a match or a miss came about. A match is glimpsed if its second card had been seen in the first look only. */
export type TurnKind = 'found' | 'lucky' | 'glimpsed' | 'slip' | 'fresh'

export type LostBy = 'lives' | 'turns' | 'clock'
export type Outcome = 'won' | 'lost' | 'open'

/** An input of a player. `at` is in whole ms since the deal and never runs backwards. */
export type Input =
  { at: number; do: 'press'; cell: number } | { at: number; do: 'turn-back' | 'pause' | 'resume' }

/** What can happen; `turn` counts from 1. */
export type Happening =
  | { kind: 'first-look-over' }
  | { kind: 'flip'; cell: number; turn: number }
  /** the player turned the one open card back; its flip counts, and it belongs to no turn */
  | { kind: 'turned-back'; cell: number }
  | {
      kind: 'match' | 'miss'
      how: TurnKind
      turn: number
      first: number
      second: number
      streak: number
      points: number
    }
  | { kind: 'life-lost'; left: number }
  | { kind: 'clock-changed'; by: number }
  | { kind: 'settled'; first: number; second: number; to: CardState; by: 'time' | 'press' | 'button' }
  /** the next player's turn, by place at the table from 0; only with several players */
  | { kind: 'passed'; to: number }
  | { kind: 'refused'; cell: number; reason: Refusal }
  | { kind: 'paused' | 'resumed' }
  | { kind: 'won'; bonus: number }
  | { kind: 'lost'; by: LostBy }

/** What happened, when (ms since the deal), and the phase right after it. */
export type Event = { at: number; phase: Phase } & Happening
