import { strToU8, zipSync } from 'fflate'
import { z } from 'zod'
import type { Game } from '../game/game.ts'
import { bad, cut, good, problemLine, type Result } from '../result.ts'
import { BOUNDS, LENGTHS, SIZES, sizeWords } from '../settings/bounds.ts'
import { readGame, writeGame } from './game-file.ts'
import { parseJson, readHead, readWith } from './read-json.ts'
import { unzip } from './unzip.ts'
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
/** The longest name and text of a setting, in characters. */
const LONGEST = { name: 200, text: 20_000 } as const

/**
 * A game as it was on the shelf: its key there, when it was last changed, and since when it is in the bin, in ms since
 * 1970.
 */
export type BackedUp = { key: string; touched: number; removed?: number; game: Game }
/** A game read from a backup, or why it cannot be read. `name`: its title, or its file. */
type FromBackup = Omit<BackedUp, 'game'> & { name: string; game: Result<Game> }

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
  // no setting may cost a game: each is looked at by itself
  settings: z.unknown().optional(),
})

/** The bytes of a backup. In: games and settings of the studio; `made`, when, as ISO 8601. */
export function writeBackup(
  games: readonly BackedUp[],
  settings: Record<string, string>,
  madeAt: string,
): Uint8Array {
  const entries: Record<string, Uint8Array> = {}
  const list = games.map(({ key, touched, removed, game }, i) => {
    const file = `games/${i + 1}.game.json`
    entries[file] = strToU8(writeGame(game))
    return { file, title: game.title, key, touched, ...(removed ? { removed } : {}) }
  })
  const head = { format: BACKUP_FORMAT, version: BACKUP_VERSION, made: madeAt, games: list, settings }
  return zipSync({ [LIST]: strToU8(JSON.stringify(head, null, 2) + '\n'), ...entries }, { level: 6 })
}

/** What is in a backup. `leftOut`: the names of settings that cannot be read. */
export type Backup = {
  made: string
  games: FromBackup[]
  settings: Record<string, string>
  leftOut: string[]
}

/** A backup from its bytes. A game that cannot be read is named with its problem; all others are there. */
export function readBackup(bytes: Uint8Array): Result<Backup> {
  let total = 0
  const unzipped = unzip(bytes, ({ size }) => (total += size) <= MOST)
  if (!unzipped.ok) return bad('', 'this backup is cut off, or is not a zip')
  if (total > MOST) return bad('', `larger than ${sizeWords(MOST)} unpacked`)
  const files = unzipped.value
  const text = files.get(LIST)
  if (!text)
    return bad('', `no ${LIST} in this zip, so it is not a backup; open a zipped game with "Open a file"`)
  const decoded = text.ok ? readUtf8(text.value) : text
  const json = decoded.ok ? parseJson(decoded.value) : decoded
  if (!json.ok) return bad(LIST, json.problem.message)
  const head = readHead(json.value, BACKUP_FORMAT, BACKUP_VERSION)
  if (!head.ok) return bad(`${LIST}, ${head.problem.at}`, head.problem.message)
  const backupHead = readWith(backupSchema, head.value.rest)
  if (!backupHead.ok) return bad(`${LIST}, ${backupHead.problem.at}`, backupHead.problem.message)
  const { made, games } = backupHead.value
  return good({
    made,
    ...settingsIn(backupHead.value.settings),
    games: games.map(({ file, title, key, touched, removed }) => ({
      key,
      touched,
      ...(removed ? { removed } : {}),
      name: title || cut(file),
      game: gameIn(files, file),
    })),
  })
}

/** The settings of a backup that can be read, and the names of the others. */
function settingsIn(value: unknown): Pick<Backup, 'settings' | 'leftOut'> {
  if (value === undefined) return { settings: {}, leftOut: [] }
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    return { settings: {}, leftOut: ['all settings'] }
  const isRead = ([name, text]: [string, unknown]): boolean =>
    name.length <= LONGEST.name && typeof text === 'string' && text.length <= LONGEST.text
  const all = Object.entries(value)
  return {
    settings: Object.fromEntries(all.filter(isRead)) as Record<string, string>,
    leftOut: all.filter((one) => !isRead(one)).map(([name]) => cut(name)),
  }
}

function gameIn(files: ReadonlyMap<string, Result<Uint8Array>>, file: string): Result<Game> {
  const bytes = files.get(file)
  if (!bytes) return bad('', `${cut(file)} is missing from the backup`)
  if (!bytes.ok) return bad(cut(file), bytes.problem.message)
  if (bytes.value.length > SIZES.file) return bad('', `larger than ${sizeWords(SIZES.file)}`)
  const text = readUtf8(bytes.value)
  return text.ok ? readGame(text.value) : text
}

/**
 * What a backup that was just made does not give back when it is read, in words; empty if it gives back all. In: its
 * bytes, and what it was made of.
 */
export function backupProblem(bytes: Uint8Array, games: readonly BackedUp[]): string {
  const backup = readBackup(bytes)
  if (!backup.ok) return problemLine(backup.problem)
  for (const [i, { game, name }] of backup.value.games.entries()) {
    if (!game.ok) return `${name}: ${problemLine(game.problem)}`
    if (writeGame(game.value) !== writeGame(games[i]!.game)) return `${name} is not the same when read back`
  }
  return ''
}
