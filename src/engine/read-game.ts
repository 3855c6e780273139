import type { Game } from '../core/game/game.ts'
import { GAME_FORMAT, GAME_VERSION, isLoose, migrateGame, type Loose } from '../core/game/migrations.ts'
import { bad, good, quoted, type Result } from '../core/result.ts'
import { SECTIONS } from '../core/settings/settings.ts'

/**
 * A game from a NAME.game.json: its text, or the object in it. A newer version is refused. Wrong: not JSON, not a game,
 * or parts of it are missing; single values are not checked, as `npx lucky-twin check` does.
 */
export function readGame(file: string | object): Result<Game> {
  let json: unknown = file
  if (typeof file === 'string') {
    try {
      json = JSON.parse(file)
    } catch {
      return bad('', 'not JSON')
    }
  }
  if (!isLoose(json)) return bad('', 'not a game: an object is expected')
  const { format, version, ...rest } = json
  if (format !== GAME_FORMAT)
    return bad('format', `${quoted(GAME_FORMAT)} is expected, not ${quoted(String(format))}`)
  if (typeof version !== 'number' || version < 1) return bad('version', 'is missing')
  if (version > GAME_VERSION)
    return bad('version', `${version} is newer than this engine reads (${GAME_VERSION})`)
  const game = migrateGame(rest, version)
  // the parts that it needs are there; the schema is not in the module
  return partMissing(game) ?? good(game as unknown as Game)
}

/** The first part that a game has to have and this one has not. */
function partMissing({ id, deck, house, levels }: Loose): Result<never> | null {
  if (typeof id !== 'string') return bad('id', 'is missing')
  if (!isLoose(deck) || !Array.isArray(deck.pairs)) return bad('deck.pairs', 'is missing')
  const pair = deck.pairs.findIndex(
    (one: unknown) => !isLoose(one) || typeof one.id !== 'string' || !isLoose(one.a),
  )
  if (pair >= 0) return bad(`deck.pairs[${pair}]`, 'needs an id and a face a')
  if (!isLoose(house)) return bad('house', 'is missing')
  const section = SECTIONS.find((one) => !isLoose(house[one]))
  if (section) return bad(`house.${section}`, 'is missing')
  if (!Array.isArray(levels) || !levels.length) return bad('levels', 'is missing')
  const level = levels.findIndex((one: unknown) => !isLoose(one) || typeof one.id !== 'string')
  return level < 0 ? null : bad(`levels[${level}]`, 'needs an id')
}
