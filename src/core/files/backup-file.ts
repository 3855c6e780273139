import { strToU8, unzipSync, zipSync } from 'fflate'
import { z } from 'zod'
import type { Game } from '../game/game.ts'
import { bad, cut, good, type Result } from '../result.ts'
import { BOUNDS, LENGTHS, SIZES, sizeWords } from '../settings/settings.ts'
import { readGame, writeGame } from './game-file.ts'
import { parseJson, readHead, readWith } from './read-json.ts'
import { readUtf8 } from './utf8.ts'

/**
 * A whole shelf in one file: a zip of backup.json, which lists the games, and each game as a file of its own under
 * games/.
 */

const BACKUP_FORMAT = 'lucky-twin/backup'
const BACKUP_VERSION = 1
const LIST = 'backup.json'
/** Of one backup, unpacked, in bytes. */
const MOST = 1024 * 2 ** 20

/**
 * A game as it was on the shelf: its key there, when it was last changed, and since when it is in the bin, in ms since
 * 1970.
 */
export type BackedUp = { key: string; touched: number; removed?: number; game: Game }
/** A game read from a backup, or why it cannot be read. `name`: its title, or its file. */
export type FromBackup = Omit<BackedUp, 'game'> & { name: string; game: Result<Game> }

const time = z.int().min(0)
const backupSchema = z.strictObject({
  made: z.string().max(LENGTHS.text),
  games: z
    .array(
      z.strictObject({
        file: z.string().min(1).max(LENGTHS.text),
        title: z.string().max(LENGTHS.title),
        key: z.string().min(1).max(LENGTHS.text),
        touched: time,
        removed: time.optional(),
      }),
    )
    .max(BOUNDS.checks[1]),
  settings: z.record(z.string().max(LENGTHS.text), z.string().max(LENGTHS.text)),
})

/** The bytes of a backup. In: games and settings of the studio; `made`, when, as ISO 8601. */
export function writeBackup(
  games: readonly BackedUp[],
  settings: Record<string, string>,
  made: string,
): Uint8Array {
  const entries: Record<string, Uint8Array> = {}
  const list = games.map(({ key, touched, removed, game }, i) => {
    const file = `games/${i + 1}.game.json`
    entries[file] = strToU8(writeGame(game))
    return { file, title: game.title, key, touched, ...(removed ? { removed } : {}) }
  })
  const head = { format: BACKUP_FORMAT, version: BACKUP_VERSION, made, games: list, settings }
  return zipSync({ [LIST]: strToU8(JSON.stringify(head, null, 2) + '\n'), ...entries }, { level: 6 })
}

/** A backup from its bytes. A game that cannot be read is named with its problem; all others are there. */
export function readBackup(
  bytes: Uint8Array,
): Result<{ made: string; games: FromBackup[]; settings: Record<string, string> }> {
  let total = 0
  let files: Record<string, Uint8Array>
  try {
    files = unzipSync(bytes, { filter: ({ originalSize }) => (total += originalSize) <= MOST })
  } catch {
    return bad('', 'this backup is cut off, or is not a zip')
  }
  if (total > MOST) return bad('', `larger than ${sizeWords(MOST)} unpacked`)
  const text = files[LIST]
  if (!text)
    return bad('', `no ${LIST} in this zip, so it is not a backup; open a zipped game with "Open a file"`)
  const decoded = readUtf8(text)
  const json = decoded.ok ? parseJson(decoded.value) : decoded
  if (!json.ok) return bad(LIST, json.problem.message)
  const head = readHead(json.value, BACKUP_FORMAT, BACKUP_VERSION)
  if (!head.ok) return bad(`${LIST}, ${head.problem.at}`, head.problem.message)
  const read = readWith(backupSchema, head.value.rest)
  if (!read.ok) return bad(`${LIST}, ${read.problem.at}`, read.problem.message)
  const { made, games, settings } = read.value
  return good({
    made,
    settings,
    games: games.map(({ file, title, key, touched, removed }) => ({
      key,
      touched,
      ...(removed ? { removed } : {}),
      name: title || cut(file),
      game: gameIn(files, file),
    })),
  })
}

function gameIn(files: Record<string, Uint8Array>, file: string): Result<Game> {
  const bytes = Object.hasOwn(files, file) ? files[file] : undefined
  if (!bytes) return bad('', `${cut(file)} is missing from the backup`)
  if (bytes.length > SIZES.file) return bad('', `larger than ${sizeWords(SIZES.file)}`)
  const text = readUtf8(bytes)
  return text.ok ? readGame(text.value) : text
}
