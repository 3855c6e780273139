import { DEFAULTS } from '../settings/settings.ts'

/**
 * Brings a game of an older version up to now, before it is read with the schema. In: parsed JSON without its head.
 * Version 1 knew one player only and no kept checks, and neither it nor the first of version 2 how cards are dealt and flipped and what
 * lies behind them. Out: the game, with what its house rules do not say as it was then.
 */
export function migrateGame(game: Record<string, unknown>): Record<string, unknown> {
  const { house } = game
  if (typeof house !== 'object' || house === null) return game
  const { look } = house as { look?: unknown }
  const { flip, dealIn, behind } = DEFAULTS.look
  return {
    ...game,
    house: {
      players: DEFAULTS.players,
      ...house,
      ...(typeof look === 'object' && look !== null ? { look: { flip, dealIn, behind, ...look } } : {}),
    },
  }
}
