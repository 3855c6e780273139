import { cardIn, FRAMES } from '../../../core/board/frames.ts'
import type { Game } from '../../../core/game/game.ts'
import { resolveLevel } from '../../../core/settings/levels.ts'
import { CARD_RATIO } from '../../../core/settings/settings.ts'

/** The smallest card of any level on a phone, in px: at this size faces are compared. */
export function smallestCard(game: Game): { width: number; height: number } {
  const widths = game.levels.map(
    (level) => cardIn({ ...FRAMES.phone, safe: 0 }, resolveLevel(game, level)).width,
  )
  const width = Math.max(16, Math.min(...widths))
  const { shape } = game.house.look
  return { width, height: Math.round(width / CARD_RATIO[shape]) }
}
