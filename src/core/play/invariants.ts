import { cardsMatch } from '../deck/card.ts'
import { timeUsed } from './clock.ts'
import { NEVER, isOver, type Round } from './round.ts'

/** What must hold after every input, whatever was pressed, by name; the words describe the failure. */
export const INVARIANTS = {
  'two-up': 'more than two cards lie face up, or a card is up that no turn knows of',
  counts: 'turns, flips, matches and misses do not add up',
  matched: 'the matched cards on the board are not those that were counted',
  twins: 'two cards count as a match that are not twins',
  score: 'the score fell below zero although it must not',
  lives: 'lives are below zero, or gone without an end',
  turns: 'more turns were played than the limit allows',
  clock: 'the game goes on although its time is over',
  end: 'the outcome changed after the end',
  time: 'time ran backwards',
} as const
export type Invariant = keyof typeof INVARIANTS

/** What is remembered of a round between two inputs. */
export type Watch = { at: number; used: number; over: string; matches: number; score: number; turns: number }
export const newWatch = (): Watch => ({ at: 0, used: 0, over: '', matches: 0, score: 0, turns: 0 })

/**
 * The first invariant that a round breaks now, or null. In: the watch, which is updated. Cost: a look at a few numbers,
 * and at the board only where a turn was judged since the last call.
 */
export function broken(round: Round, watch: Watch): Invariant | null {
  const { phase, rules, states, first, second } = round
  const up = (first >= 0 ? 1 : 0) + (second >= 0 ? 1 : 0)
  if (round.at < watch.at) return 'time'
  watch.at = round.at
  if (round.turns !== round.matches + round.misses) return 'counts'
  if (round.flips !== round.turns * 2 + round.turnBacks + (up === 1 ? 1 : 0)) return 'counts'
  if (up > 0 && (states[first] !== 'up' || (second >= 0 && states[second] !== 'up'))) return 'two-up'
  if (first >= 0 && first === second) return 'two-up'
  if (rules.score.floorAtZero && round.score < 0) return 'score'
  if (round.lives !== null && (round.lives < 0 || (round.lives === 0 && !isOver(round)))) return 'lives'
  const { turns } = rules.limits
  if (turns !== null && (round.turns > turns || (round.turns === turns && !isOver(round)))) return 'turns'
  if (round.clock.limit !== NEVER && !isOver(round) && timeUsed(round) > round.clock.limit) return 'clock'
  const over = isOver(round) ? `${phase} ${round.lostBy ?? ''}` : ''
  if (watch.over && (over !== watch.over || round.matches !== watch.matches || round.score !== watch.score))
    return 'end'
  watch.over = over
  watch.score = round.score
  if (round.turns !== watch.turns) {
    watch.turns = round.turns
    if (
      round.matches !== watch.matches &&
      second >= 0 &&
      !cardsMatch(round.cells[first]!, round.cells[second]!)
    )
      return 'twins'
    const wrong = boardIsWrong(round, up)
    if (wrong) return wrong
  }
  watch.matches = round.matches
  return null
}

function boardIsWrong(round: Round, up: number): Invariant | null {
  let [ups, matched] = [0, 0]
  for (const state of round.states) {
    if (state === 'up') ups++
    else if (state === 'matched' || state === 'gone') matched++
  }
  if (ups !== up) return 'two-up'
  const open = round.second >= 0 && round.judgedMatch ? 1 : 0
  return matched === (round.matches - open) * 2 ? null : 'matched'
}
