import { cardsMatch } from '../deck/card.ts'
import { favourClock, setClock, timeLeft, timeUsed } from './clock.ts'
import type { Kind, LostBy } from './events.ts'
import { addPoints, matchPoints, missPoints, winPoints } from './points.ts'
import { isCleared, NEVER, type Round } from './round.ts'

/** Whether a card that matches the first of this turn, and still lies on the board, was seen before this turn. */
function twinWasSeen(round: Round, turn: number): boolean {
  const { cells, seenIn, states, first } = round
  const card = cells[first]!
  for (let cell = 0; cell < cells.length; cell++) {
    if (!cardsMatch(card, cells[cell]!) || cell === first) continue
    if (states[cell] !== 'down' && states[cell] !== 'up') continue
    if (seenIn[cell]! > 0 && seenIn[cell]! < turn) return true
  }
  return false
}

/** Ends the round; the outcome never changes after this. */
export function lose(round: Round, by: LostBy): void {
  round.phase = 'lost'
  round.lostBy = by
  setClock(round)
  round.events?.push({ at: round.at, phase: 'lost', kind: 'lost', by })
}

function win(round: Round): void {
  const { score } = round.rules
  const bonus = winPoints(score, timeLeft(round), round.lives)
  round.score = addPoints(score, round.score, bonus)
  round.phase = 'won'
  setClock(round)
  round.events?.push({ at: round.at, phase: 'won', kind: 'won', bonus })
}

/**
 * Judges the two cards that are up, at once, in this order: turns, match or miss and its kind, streak, points, lives,
 * clock bonus or penalty, outcome. Afterwards the look time runs, in which both cards stay up.
 */
export function judge(round: Round): void {
  const { rules, first, second, events, at } = round
  const turn = ++round.turns
  const secondWasSeen = round.seenIn[second]! < turn
  const match = cardsMatch(round.cells[first]!, round.cells[second]!)
  round.phase = 'judged'
  round.judgedMatch = match
  const waitsForButton = !match && rules.turn.onMiss === 'button'
  round.dueAt = waitsForButton ? NEVER : at + (match ? rules.turn.matchLook : rules.turn.missLook)
  setClock(round)
  const before = round.score
  if (match) {
    round.matches++
    if (secondWasSeen) round.found++
    else round.lucky++
    round.streak++
    if (round.streak > round.longestStreak) round.longestStreak = round.streak
    round.score = addPoints(rules.score, before, matchPoints(rules.score, round.streak, !secondWasSeen))
  } else {
    const slip = secondWasSeen || twinWasSeen(round, turn)
    round.misses++
    if (slip) round.slips++
    else round.fresh++
    round.streak = 0
    round.score = addPoints(rules.score, before, -missPoints(rules.score, slip))
    if (events) tell(round, 'miss', slip ? 'slip' : 'fresh', before)
    if (round.lives !== null && (slip || rules.limits.livesLostOn === 'miss')) {
      round.lives--
      events?.push({ at, phase: 'judged', kind: 'life-lost', left: round.lives })
    }
  }
  if (match && events) tell(round, 'match', secondWasSeen ? 'found' : 'lucky', before)

  const change = match ? rules.clock.matchBonus : -rules.clock.missPenalty
  if (change !== 0 && rules.clock.mode !== 'off') {
    favourClock(round, change)
    events?.push({ at, phase: 'judged', kind: 'clock-changed', by: change })
  }

  if (isCleared(round)) win(round)
  else if (round.lives === 0) lose(round, 'lives')
  else if (round.turns === rules.limits.turns) lose(round, 'turns')
  else if (timeUsed(round) > round.clock.limit) lose(round, 'clock')
}

function tell(round: Round, kind: 'match' | 'miss', how: Kind, before: number): void {
  const { at, turns: turn, first, second, streak } = round
  round.events!.push({
    at,
    phase: 'judged',
    kind,
    how,
    turn,
    first,
    second,
    streak,
    points: round.score - before,
  })
}
