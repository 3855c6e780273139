import { readFileSync, statSync } from 'node:fs'
import { createRequire } from 'node:module'
import { readBoards, type GivenSize, type ReadBoards } from '../core/files/boards-file.ts'
import { readAnyGame } from '../core/files/any-game.ts'
import { readMind } from '../core/files/mind-file.ts'
import { readRecord } from '../core/files/record-file.ts'
import { readUtf8 } from '../core/files/utf8.ts'
import type { PlayRecord } from '../core/play/record.ts'
import type { Game } from '../core/game/game.ts'
import type { Mind } from '../core/settings/mind.ts'
import { largerThan, SIZES } from '../core/settings/settings.ts'
import { problemLine, type Result } from '../core/result.ts'
import { pictureSvg } from '../ship/pictures.ts'

/** The call or a file is unusable: one line that says what and where; the command ends with 2. */
export class Unusable extends Error {}

function readBytes(path: string): Buffer {
  try {
    if (statSync(path).size > SIZES.file) throw new Unusable(`${path}: ${largerThan(SIZES.file)}`)
    return readFileSync(path)
  } catch (error) {
    if (error instanceof Unusable) throw error
    const { code } = error as NodeJS.ErrnoException
    const why =
      code === 'ENOENT' ? 'no such file' : code === 'EISDIR' ? 'is a folder' : `cannot be read (${code})`
    throw new Unusable(`${path}: ${why}`)
  }
}

function usable<T>(path: string, result: Result<T>): T {
  if (result.ok) return result.value
  throw new Unusable(`${path}: ${problemLine(result.problem)}`)
}

/** A game from its file, or from a shipped page. */
export const gameAt = (path: string): Game => usable(path, readAnyGame(readBytes(path)))

/** A record of this game. */
export const recordAt = (path: string, game: Game): PlayRecord => usable(path, readRecord(textAt(path), game))

/** A simulated player. */
export const mindAt = (path: string): Mind => usable(path, readMind(textAt(path)))

const textOf = (path: string, bytes: Uint8Array): string => usable(path, readUtf8(bytes))

/** The text of a file. */
export const textAt = (path: string): string => textOf(path, readBytes(path))

/** Boards that another program dealt. */
export const boardsAt = (path: string, size: GivenSize): ReadBoards =>
  usable(path, readBoards(textAt(path), size))

let library: Record<string, { body: string }> | null = null

/** The drawings of the picture library, by name. */
export function pictureLibrary(): Record<string, { body: string }> {
  library ??= (
    createRequire(import.meta.url)('@iconify-json/fluent-emoji-flat/icons.json') as {
      icons: Record<string, { body: string }>
    }
  ).icons
  return library
}

export const pictureAt = async (name: string): Promise<string | null> => {
  const found = Object.hasOwn(pictureLibrary(), name) ? pictureLibrary()[name] : undefined
  return found ? pictureSvg(found.body) : null
}
