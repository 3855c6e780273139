import type { Event, Input } from '../play/events.ts'
import { advance, isWaitingForButton } from '../play/machine.ts'
import { isOver, NEVER, type Round } from '../play/round.ts'
import type { Mind } from '../settings/mind.ts'
import { mindStreams } from './chance.ts'
import { nextSeat, readyAfter } from './play-minds.ts'
import { MindPlayer } from './player-mind.ts'

/** How long a mind waits before it repeats a refused press, in ms. */
const TRIES_AGAIN = 100

/**
 * Minds at a real table, beside persons or alone. They follow the round through its events, and say what they press
 * next, and when. Where minds have all the seats they play the very game that `playMinds` plays.
 */
export class MindsAtTable {
  private readonly round: Round
  /** by seat; null for a person */
  private readonly players: (MindPlayer | null)[]
  /** how many of the round's events have been taken in */
  private heard = 0
  private seat = 0
  /** the first card of this turn, −1 for none */
  private first = -1
  private pausedAt = 0
  /** the next press; null while a person has the turn */
  private plan: { cell: number; at: number } | null = null

  /**
   * In: who plays each seat (one seat in a game for one), a round that keeps its events, the seed text of all games and
   * the number of this one, from 1.
   */
  constructor(minds: readonly (Mind | null)[], round: Round, seed: string, game: number) {
    const { rules, cells } = round
    this.round = round
    this.players = minds.map(
      (mind, seat) => mind && new MindPlayer(mind, cells, rules.board.columns, mindStreams(seed, game, seat)),
    )
    for (const player of this.players) player?.sawAll(rules.turn.firstLook)
    this.planFirst(rules.turn.firstLook)
  }

  /** Whether a mind has the turn, also while the cards of the turn before still lie open. */
  get haveTurn(): boolean {
    return this.dueAt < NEVER
  }

  /** When a mind presses next, in ms since the deal; NEVER while a person has the turn. */
  get dueAt(): number {
    this.follow()
    return this.plan?.at ?? NEVER
  }

  /**
   * The press of a mind at or before this time (ms since the deal), or null. Apply it to the round before asking again.
   */
  next(now: number): Input | null {
    this.follow()
    const { round, plan } = this
    if (!plan || plan.at > now || round.phase === 'paused') return null
    // things due before the press come first
    if (round.nextDue <= plan.at) {
      advance(round, plan.at)
      this.follow()
      if (isOver(round)) return null
    }
    const at = Math.max(plan.at, round.at)
    return isWaitingForButton(round) ? { at, do: 'turn-back' } : { at, do: 'press', cell: plan.cell }
  }

  private follow(): void {
    const events = this.round.events!
    while (this.heard < events.length) this.hear(events[this.heard++]!)
  }

  private hear(event: Event): void {
    switch (event.kind) {
      case 'flip':
        return this.seeFlip(event.cell, event.at)
      case 'turned-back':
        return this.seeTurnedBack(event.cell)
      case 'match':
      case 'miss':
        return this.seeTurn(event.first, event.second, event.kind === 'match', event.at)
      case 'refused':
        if (this.plan?.cell === event.cell && event.at >= this.plan.at) this.plan.at = event.at + TRIES_AGAIN
        return
      case 'paused':
        this.pausedAt = event.at
        return
      case 'resumed':
        if (this.plan) this.plan.at += event.at - this.pausedAt
        return
      case 'won':
      case 'lost':
        this.plan = null
    }
  }

  private seeFlip(cell: number, at: number): void {
    const player = this.players[this.seat]
    const isFirst = this.first < 0
    this.first = isFirst ? cell : -1
    this.plan = player && isFirst ? { cell: player.second(cell), at: at + player.thought('second') } : null
  }

  /** A person turned the one open card back: everybody at the table saw it. */
  private seeTurnedBack(cell: number): void {
    this.first = -1
    for (const player of this.players) player?.glimpsed(cell)
  }

  /** A turn was judged: everybody at the table saw its cards, and the next player's turn is planned. */
  private seeTurn(first: number, second: number, isMatch: boolean, at: number): void {
    const { rules } = this.round
    for (const player of this.players) player?.settled(first, second, isMatch)
    this.seat = nextSeat(rules, this.seat, this.players.length, isMatch)
    this.planFirst(at + readyAfter(rules, isMatch))
  }

  private planFirst(ready: number): void {
    const player = isOver(this.round) ? null : this.players[this.seat]
    this.plan = player ? { at: ready + player.thought('first'), cell: player.first() } : null
  }
}
