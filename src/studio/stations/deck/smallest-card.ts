import { FRAMES, layoutIn } from '../../../core/board/frames.ts'
import type { Game } from '../../../core/game/game.ts'
import { resolveLevel } from '../../../core/settings/levels.ts'
import { CARD_RATIO } from '../../../core/settings/settings.ts'

/** The smallest card of any level on a phone, in px: at this size faces are compared. */
export function smallestCard(game: Game): { width: number; height: number } {
  const cards = game.levels.map(
    (level) => layoutIn({ ...FRAMES.phone, safe: 0 }, resolveLevel(game, level)).card,
  )
  const width = Math.max(16, Math.min(...cards.map((card) => card.width)))
  const { shape } = game.house.look
  return { width, height: Math.round(width / CARD_RATIO[shape]) }
}
