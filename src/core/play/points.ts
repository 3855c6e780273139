import type { Settings } from '../settings/settings.ts'

type Score = Settings['score']

/** Points of a match: round(match × min(1 + streakStep × (streak − 1), streakMax)), plus `lucky` if it was lucky. */
export function matchPoints(score: Score, streak: number, lucky: boolean): number {
  const times = Math.min(1 + score.streakStep * (streak - 1), score.streakMax)
  return Math.round(score.match * times) + (lucky ? score.lucky : 0)
}

/** Points that a miss takes away, as a number of 0 or more; a slip takes away `slip` more. */
export function missPoints(score: Score, slip: boolean): number {
  return score.miss + (slip ? score.slip : 0)
}

/** Points that a win adds. In: time left in ms (null without a limit) and lives left (null without lives). */
export function winPoints(score: Score, timeLeft: number | null, lives: number | null): number {
  return score.perSecondLeft * Math.floor((timeLeft ?? 0) / 1000) + score.perLifeLeft * (lives ?? 0)
}

/** The score after a change of `change` points. */
export function addPoints(score: Score, before: number, change: number): number {
  return score.floorAtZero ? Math.max(0, before + change) : before + change
}

/**
 * Stars from 0 to 3, or null where the level gives none. A game that was not won has none. A score must reach a
 * threshold; turns and time (ms) must not pass it.
 */
export function starsFor(
  score: Score,
  result: { won: boolean; score: number; turns: number; time: number },
): number | null {
  if (!score.stars) return null
  if (!result.won) return 0
  const { by, at } = score.stars
  const value = result[by]
  return at.filter((threshold) => (by === 'score' ? value >= threshold : value <= threshold)).length
}
