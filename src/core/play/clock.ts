import { NEVER, type Round } from './round.ts'

/** The last seconds of a clock that counts down, in ms: they tick, and can be skipped to. */
export const LAST_SECONDS = 5000

/** Time used at the round's own time, in ms. Counted in every clock mode. */
export function timeUsed(round: Round): number {
  const { clock } = round
  return clock.running ? clock.used + round.at - clock.since : clock.used
}

/** Time left in ms under a clock that counts down, else null. Never below 0. */
export function timeLeft(round: Round): number | null {
  return round.clock.limit === NEVER ? null : Math.max(0, round.clock.limit - timeUsed(round))
}

/**
 * Starts or stops the clock at the round's time, as its phase and the rules ask, and works out the next due time.
 * To be called after every change of phase, dueAt or limit.
 */
export function setClock(round: Round): void {
  const { clock, phase } = round
  const runs =
    clock.started &&
    (phase === 'ready' ||
      phase === 'one-up' ||
      (phase === 'judged' && !(round.rules.clock.lookStopsClock && isLocked(round))))
  if (runs !== clock.running) {
    if (runs) clock.since = round.at
    else clock.used = timeUsed(round)
    clock.running = runs
  }
  if (phase === 'paused') round.nextDue = NEVER
  else setNextDue(round)
}

/** The same when a look begins or ends: the clock stops or starts only where the rules say so. */
export function setClockForLook(round: Round): void {
  if (round.rules.clock.lookStopsClock) setClock(round)
  else setNextDue(round)
}

function setNextDue(round: Round): void {
  const { clock, dueAt } = round
  if (clock.limit === NEVER || !clock.running) round.nextDue = dueAt
  else {
    // the round is lost in the first millisecond after the limit
    const clockDue = clock.since + clock.limit - clock.used + 1
    round.nextDue = dueAt < clockDue ? dueAt : clockDue
  }
}

export function startClock(round: Round): void {
  if (round.clock.started) return
  round.clock.started = true
  setClock(round)
}

/** Moves the limit (`down`) or the time used (`up`, never below zero) by `ms` in the player's favour. */
export function favourClock(round: Round, ms: number): void {
  const { clock, rules } = round
  if (rules.clock.mode === 'down') clock.limit += ms
  else if (rules.clock.mode === 'up') {
    clock.used = Math.max(0, timeUsed(round) - ms)
    clock.since = round.at
  }
  setClock(round)
}

/**
 * Whether the board is locked: two cards are up and their look time is not over, or they wait for the button.
 * Missed cards that wait for a press do not lock the board.
 */
export function isLocked(round: Round): boolean {
  if (round.phase !== 'judged') return false
  return round.dueAt !== NEVER || (!round.judgedMatch && round.rules.turn.onMiss === 'button')
}
