/** What the head of a game file says: its format, and the newest version of it. */
export const GAME_FORMAT = 'lucky-twin/game'
export const GAME_VERSION = 1

/** Anything with the keys of an object; the schema refuses the rest later. */
export type Loose = Record<string, unknown>
export const isLoose = (value: unknown): value is Loose =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/**
 * The step from each version to the next, by the version it starts from. Version 1 is the first. How to write one:
 * CONTRIBUTING.md.
 */
const STEPS: Record<number, (game: Loose) => Loose> = {}

/**
 * Brings an older game up to date, before it is read with the schema. In: parsed JSON without its head, and the version
 * of its file, 1 to `GAME_VERSION`.
 */
export function migrateGame(game: Loose, version: number): Loose {
  let migrated = game
  for (let from = version; from < GAME_VERSION; from++) migrated = STEPS[from]!(migrated)
  return migrated
}
