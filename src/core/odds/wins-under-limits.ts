import type { Settings } from '../settings/settings.ts'
import type { Games } from './games.ts'

/**
 * Whether games that nothing ends show which of them are won under limits. They do unless matches or misses move the
 * clock: then a game is won if it was cleared within all limits, and goes the same way up to its end.
 */
export const decidesWins = ({ clock }: Settings): boolean =>
  clock.mode !== 'down' || (clock.matchBonus === 0 && clock.missPenalty === 0)

/**
 * Whether a longer look at a miss only makes a game longer, by that much for each miss: no press cuts it short, and the
 * clock keeps running.
 */
export const looksAddUp = ({ turn, clock }: Settings): boolean =>
  turn.duringLook === 'wait' && turn.onMiss === 'timed' && !clock.lookStopsClock

/**
 * The same unlimited games with another look at each miss, `by` ms longer. Nobody waits for the last turn, which is a
 * match.
 */
export const withLongerLook = (unlimited: Games, by: number, pairs: number): Games => ({
  ...unlimited,
  time: unlimited.time.map((time, place) => time + by * (unlimited.turns[place]! - pairs)),
})

/**
 * Whether a game, played with nothing to end it, is won under the limits of these settings. In: the unlimited games,
 * its place among them, and the pairs on the board.
 */
export function isWonWithin(
  unlimited: Games,
  place: number,
  { clock, limits }: Settings,
  pairs: number,
): boolean {
  if (unlimited.ends[place] !== 0) return false
  const turns = unlimited.turns[place]!
  const lost = limits.livesLostOn === 'slip' ? unlimited.slips[place]! : turns - pairs
  return (
    (clock.mode !== 'down' || unlimited.time[place]! <= clock.limit) &&
    (limits.turns === null || turns <= limits.turns) &&
    (limits.lives === null || lost < limits.lives)
  )
}

/** How many unlimited games are won under the limits of these settings. */
export function winsUnderLimits(unlimited: Games, settings: Settings, pairs: number): number {
  let won = 0
  for (let place = 0; place < unlimited.ends.length; place++)
    won += Number(isWonWithin(unlimited, place, settings, pairs))
  return won
}
