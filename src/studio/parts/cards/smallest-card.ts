import { cardIn, frameOf } from '../../../core/board/frames.ts'
import type { Game } from '../../../core/game/game.ts'
import { resolveLevel } from '../../../core/settings/levels.ts'

/** Faces are never compared at a smaller width, in px. */
const LEAST = 16

/** The smallest card of any level on a phone, in px: at this size faces are compared. */
export function smallestCard(game: Game): { width: number; height: number } {
  const { width, height } = game.levels
    .map((level) => cardIn(frameOf('phone'), resolveLevel(game, level)))
    .reduce((least, one) => (one.width < least.width ? one : least))
  const scale = Math.max(1, LEAST / width)
  return { width: Math.round(width * scale), height: Math.round(height * scale) }
}
