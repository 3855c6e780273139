import { readFileSync, statSync } from 'node:fs'
import { createRequire } from 'node:module'
import { readBoards, type GivenSize, type ReadBoards } from '../core/files/boards-file.ts'
import { notAGame, otherKind } from '../core/files/file-kind.ts'
import { readGame } from '../core/files/game-file.ts'
import { readGameZip } from '../core/files/game-zip.ts'
import { readRecord } from '../core/files/record-file.ts'
import { readUtf8 } from '../core/files/utf8.ts'
import type { PlayRecord } from '../core/play/record.ts'
import type { Game } from '../core/game/game.ts'
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

/** A game from NAME.game.json or NAME.game.zip, told apart by their first bytes. */
export function gameAt(path: string): Game {
  const bytes = readBytes(path)
  const kind = otherKind(bytes)
  if (kind) throw new Unusable(`${path}: ${notAGame(kind)}`)
  const zipped = bytes[0] === 0x50 && bytes[1] === 0x4b
  return usable(path, zipped ? readGameZip(bytes) : readGame(textOf(path, bytes)))
}

export const recordAt = (path: string): PlayRecord => usable(path, readRecord(textAt(path)))

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
