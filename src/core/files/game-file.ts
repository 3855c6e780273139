import { z } from 'zod'
import { cellIndex } from '../board/cells.ts'
import { imagesOf, soundsOf } from '../game/own-files.ts'
import type { Game } from '../game/game.ts'
import { resolveLevel } from '../settings/levels.ts'
import { mindsOf } from '../settings/seats.ts'
import { GAME_FORMAT, GAME_VERSION, migrateGame } from '../game/migrations.ts'
import { gameSchema, gameShape } from '../game/schema.ts'
import { bad, good, quoted, type Result } from '../result.ts'
import { checkImageUrl } from './image.ts'
import { checkSoundUrl } from './sound.ts'
import { parseJson, readHead, readWith } from './read-json.ts'

/** The schema of the whole file, for docs/schema. */
export const gameFileSchema = z.strictObject({
  format: z.literal(GAME_FORMAT),
  version: z.literal(GAME_VERSION),
  ...gameShape,
})

/** A game from the text of a NAME.game.json. */
export function readGame(text: string): Result<Game> {
  const json = parseJson(text)
  return json.ok ? gameFrom(json.value) : json
}

/** A game from parsed JSON: head, schema, own images and sounds, and the gaps of every board. */
export function gameFrom(value: unknown): Result<Game> {
  const head = readHead(value, GAME_FORMAT, GAME_VERSION)
  if (!head.ok) return head
  const result = readWith(gameSchema, migrateGame(head.value.rest, head.value.version))
  if (!result.ok) return result
  return (
    ownFilesAreWrong(result.value) ??
    gapsAreWrong(result.value) ??
    mindsAreMissing(result.value) ??
    good(result.value)
  )
}

function ownFilesAreWrong(game: Game): Result<never> | null {
  const checks = [
    ...imagesOf(game).map((file) => ({ ...file, check: checkImageUrl })),
    ...soundsOf(game).map((file) => ({ ...file, check: checkSoundUrl })),
  ]
  for (const { src, at, check } of checks) {
    const result = check(src)
    if (!result.ok) {
      const where = result.problem.at ? `${result.problem.at}: ` : ''
      return bad(at, where + result.problem.message)
    }
  }
  return null
}

function gapsAreWrong(game: Game): Result<never> | null {
  const boards = [
    { at: 'house.board', board: game.house.board },
    ...game.levels.map((level, i) => ({
      at: level.board?.gaps ? `levels[${i}].board` : '',
      board: resolveLevel(game, level).board,
    })),
  ]
  for (const { at, board } of boards) {
    if (!at) continue
    const ids = new Set<string>()
    for (const [i, name] of board.gaps.entries()) {
      if (cellIndex(name, board.rows, board.columns) < 0)
        return bad(`${at}.gaps[${i}]`, `${name} is not on this board of ${board.rows} × ${board.columns}`)
      if (ids.has(name)) return bad(`${at}.gaps[${i}]`, `${name} is named twice`)
      ids.add(name)
    }
  }
  return null
}

function mindsAreMissing(game: Game): Result<never> | null {
  const ids = new Set(mindsOf(game).map(({ id }) => id))
  const tables = [
    { at: 'house', minds: game.house.players.minds },
    ...game.levels.map(({ players }, i) => ({ at: `levels[${i}]`, minds: players?.minds ?? [] })),
  ]
  for (const { at, minds } of tables)
    for (const [i, id] of minds.entries())
      if (id !== null && !ids.has(id)) return bad(`${at}.players.minds[${i}]`, `no mind ${quoted(id)} here`)
  return null
}

/** The text of a game file. `readGame` gives back the same game. */
export function writeGame(game: Game): string {
  const { id, title, deck, house, levels, checks, minds, texts, credits } = game
  const document = { id, title, deck, house, levels, checks, minds, texts, credits }
  const file = { format: GAME_FORMAT, version: GAME_VERSION, ...document }
  return JSON.stringify(file, null, 2) + '\n'
}
