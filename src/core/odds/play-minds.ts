import { apply, isWaitingForButton, press } from '../play/machine.ts'
import { isOver, LAST_TIME, type Round } from '../play/round.ts'
import type { Mind } from '../settings/mind.ts'
import type { Settings } from '../settings/settings.ts'
import { mindStreams } from './chance.ts'
import type { MindPlayer } from './player-mind.ts'
import { QuickMind } from './quick-mind.ts'

/** The least time that a mind looks at judged cards before it cuts their look short, in ms. */
const LOOKS_AT_LEAST = 400

/**
 * A mind that always presses beside the cell it wants may never finish, so the turns are limited: without any memory n
 * pairs take n² on average.
 */
const turnsAtMost = ({ cards }: Round): number => 1000 + 10 * (cards / 2) ** 2

/**
 * Plays a fresh round to its end, each seat by a mind of its own; a round that takes ten times as many turns as one
 * without memory, or that lasts longer than any round can, is given up. In: the minds by seat (one stands for all
 * seats), the seed text of all games and the number of this one, from 1. `turned` is called after each turn. Out: the
 * ms that were spent looking at judged cards.
 */
export function playMinds(
  round: Round,
  minds: readonly Mind[],
  seed: string,
  game: number,
  onTurn?: (seats: readonly MindPlayer[]) => void,
): number {
  const { rules, cells } = round
  const seats = (round.seats ?? [null]).map(
    (_, seat) =>
      new QuickMind(minds[seat % minds.length]!, cells, rules.board.columns, mindStreams(seed, game, seat)),
  )
  for (const player of seats) player.sawAll(rules.turn.firstLook)
  /** when the board is ready for the next turn */
  let ready = rules.turn.firstLook
  let waited = 0
  const afterMatch = readyAfter(rules, true)
  const afterMiss = readyAfter(rules, false)
  const most = turnsAtMost(round)
  while (!isOver(round) && round.turns < most) {
    // a turn passes as the cards settle, which may wait for this very press
    const { phase, judgedMatch } = round
    const player =
      seats[phase === 'judged' ? nextSeat(rules, round.player, seats.length, judgedMatch) : round.player]!
    const at = ready + player.thought('first')
    const first = player.first()
    if (at > LAST_TIME || !flip(round, at, first)) break
    const second = player.second(first)
    const then = round.at + player.thought('second')
    if (then > LAST_TIME || !flip(round, then, second)) break
    for (const one of seats) one.settled(first, second, round.judgedMatch)
    const wait = round.judgedMatch ? afterMatch : afterMiss
    ready = round.at + wait
    if (!isOver(round)) waited += wait
    onTurn?.(seats)
  }
  return waited
}

/** Whose turn it is, of this many seats, once the cards of a turn have settled. */
export const nextSeat = ({ players }: Settings, seat: number, seats: number, isMatch: boolean): number =>
  isMatch && players.matchGoesAgain ? seat : (seat + 1) % seats

/**
 * Flips a card at a time; judged cards that wait for a press or the button are turned back by it. Out: false if the
 * round was over before.
 */
function flip(round: Round, at: number, cell: number): boolean {
  if (isWaitingForButton(round)) apply(round, { at, do: 'turn-back' })
  const { flips } = round
  press(round, at, cell)
  // the press may have been used up by turning the cards back
  if (round.flips === flips && !isOver(round)) press(round, round.at, cell)
  return round.flips > flips
}

/** How long after a turn was judged a mind expects the board to be ready again, in ms. */
export function readyAfter({ turn }: Settings, isMatch: boolean): number {
  const look = isMatch ? turn.matchLook : turn.missLook
  const onMiss = isMatch ? 'timed' : turn.onMiss
  // a look that takes no time is over at once
  if (onMiss === 'timed' && look === 0) return 0
  if (onMiss === 'press' && turn.duringLook === 'wait') return Math.max(LOOKS_AT_LEAST, look)
  return onMiss === 'button' || turn.duringLook !== 'wait' ? LOOKS_AT_LEAST : look
}
