import { cardsMatch, faceIndex, twinFace } from '../deck/card.ts'
import { favourClock, setClock, setClockForLook, timeLeft, timeUsed } from './clock.ts'
import type { Event, Happening, LostBy, TurnKind } from './events.ts'
import { addPoints, matchPoints, missPoints, winPoints } from './points.ts'
import { isCleared, NEVER, type Round } from './round.ts'

/** Adds to the list of events, with the time and the phase. Call it only if somebody listens: events cost time. */
export function tell(round: Round, what: Happening): void {
  round.events!.push({ at: round.at, phase: round.phase, ...what } as Event)
}

/**
 * Judges the two cards that are up, at once, in this order: turns, match or miss and its kind, streak, points, lives,
 * clock bonus or penalty, outcome. The look time starts then, with both cards face up.
 */
export function judge(round: Round): void {
  const match = cardsMatch(round.cells[round.first]!, round.cells[round.second]!)
  round.turns++
  round.phase = 'judged'
  round.judgedMatch = match
  if (match) judgeMatch(round)
  else judgeMiss(round)
  decide(round)
}

function judgeMatch(round: Round): void {
  const { turn, score, clock } = round.rules
  const isNew = round.seenIn[round.second] === round.turns
  // the first look has shown every card, so no later match is pure luck
  const lucky = isNew && turn.firstLook === 0
  round.dueAt = round.at + turn.matchLook
  setClockForLook(round)
  round.matches++
  if (lucky) round.lucky++
  else if (isNew) round.glimpsed++
  const streak = ++round.streak
  if (streak > round.longestStreak) round.longestStreak = streak
  const before = round.score
  addScore(round, matchPoints(score, streak, lucky))
  if (round.seats) round.seats[round.player]!.matches++
  // a matched card need not be remembered any more
  if (!isNew) forget(round, round.second)
  if (round.seenIn[round.first] !== round.turns) forget(round, round.first)
  if (round.events) tellJudged(round, 'match', lucky ? 'lucky' : isNew ? 'glimpsed' : 'found', before)
  if (clock.matchBonus !== 0) changeClock(round, clock.matchBonus)
}

function judgeMiss(round: Round): void {
  const { turn, score, clock, limits } = round.rules
  const secondIsNew = round.seenIn[round.second] === round.turns
  const firstIsNew = round.seenIn[round.first] === round.turns
  round.dueAt = turn.onMiss === 'button' ? NEVER : round.at + turn.missLook
  setClockForLook(round)
  // memory could have avoided it if the second card, or a card that matches the first, was seen before this turn
  const slip = !secondIsNew || twinWasSeen(round, firstIsNew)
  round.misses++
  if (slip) round.slips++
  round.streak = 0
  const before = round.score
  addScore(round, -missPoints(score, slip))
  if (round.seats) round.seats[round.player]!.misses++
  if (firstIsNew) round.seenFaces[faceIndex(round.cells[round.first]!)]!++
  if (secondIsNew) round.seenFaces[faceIndex(round.cells[round.second]!)]!++
  if (round.events) tellJudged(round, 'miss', slip ? 'slip' : 'fresh', before)
  if (round.lives !== null && (slip || limits.livesLostOn === 'miss')) {
    round.lives--
    if (round.events) tell(round, { kind: 'life-lost', left: round.lives })
  }
  if (clock.missPenalty !== 0) changeClock(round, -clock.missPenalty)
}

/** Whether a card that matches the first of this turn, and is still on the board, was seen before this turn. */
function twinWasSeen(round: Round, firstIsNew: boolean): boolean {
  const card = round.cells[round.first]!
  const twin = twinFace(card)
  // the first card itself is not its own twin
  const itself = twin === faceIndex(card) && !firstIsNew ? 1 : 0
  return round.seenFaces[twin]! > itself
}

function forget(round: Round, cell: number): void {
  round.seenFaces[faceIndex(round.cells[cell]!)]!--
}

function changeClock(round: Round, ms: number): void {
  if (round.rules.clock.mode === 'off') return
  favourClock(round, ms)
  if (round.events) tell(round, { kind: 'clock-changed', by: ms })
}

/** Whether this judgement ends the round: won before anything else, then lost by lives, by turns, by the clock. */
function decide(round: Round): void {
  const { turns } = round.rules.limits
  if (isCleared(round)) win(round)
  else if (round.lives === 0) lose(round, 'lives')
  else if (turns !== null && round.turns >= turns) lose(round, 'turns')
  else if (round.clock.limit !== NEVER && timeUsed(round) > round.clock.limit) lose(round, 'clock')
}

/** Ends the round; the outcome never changes after this. */
export function lose(round: Round, by: LostBy): void {
  round.phase = 'lost'
  round.lostBy = by
  setClock(round)
  if (round.events) tell(round, { kind: 'lost', by })
}

function win(round: Round): void {
  const { score } = round.rules
  const bonus = winPoints(score, timeLeft(round), round.lives)
  addScore(round, bonus)
  round.phase = 'won'
  setClock(round)
  if (round.events) tell(round, { kind: 'won', bonus })
}

/** Adds points for the player whose turn it is; the round's score is the sum of all. */
function addScore(round: Round, change: number): void {
  const { seats, rules } = round
  if (!seats) round.score = addPoints(rules.score, round.score, change)
  else {
    const seat = seats[round.player]!
    const before = seat.score
    seat.score = addPoints(rules.score, before, change)
    round.score += seat.score - before
  }
}

/**
 * At the end of a turn: after a miss, and after a match unless that gives another turn, the next player's turn begins.
 */
export function passTurn(round: Round): void {
  const { seats, rules } = round
  if (!seats || (round.judgedMatch && rules.players.matchGoesAgain)) return
  seats[round.player]!.streak = round.streak
  round.player = (round.player + 1) % seats.length
  round.streak = seats[round.player]!.streak
  if (round.events) tell(round, { kind: 'passed', to: round.player })
}

/** The event of a judgement; `before` is the score before it. */
function tellJudged(round: Round, kind: 'match' | 'miss', how: TurnKind, before: number): void {
  const { turns: turn, first, second, streak } = round
  tell(round, { kind, how, turn, first, second, streak, points: round.score - before })
}
