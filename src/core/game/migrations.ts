import { DEFAULTS } from './settings.ts'

/**
 * Brings a game of an older version up to now, before it is read with the schema. In: parsed JSON without its head, and the version
 * that it names. Version 1 knew one player only, and no kept checks.
 */
export function migrateGame(game: Record<string, unknown>, version: number): Record<string, unknown> {
  const { house } = game
  if (version > 1 || typeof house !== 'object' || house === null || 'players' in house) return game
  return { ...game, house: { ...house, players: DEFAULTS.players } }
}
