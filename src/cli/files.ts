import { readFileSync, statSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { resolve } from 'node:path'
import { readBoards, type GivenSize, type ReadBoards } from '../core/files/boards-file.ts'
import { readAnyGame } from '../core/files/any-game.ts'
import { readMind } from '../core/files/mind-file.ts'
import { readRecord } from '../core/files/record-file.ts'
import { readUtf8 } from '../core/files/utf8.ts'
import type { PlayRecord } from '../core/play/record.ts'
import type { Game } from '../core/game/game.ts'
import type { Mind } from '../core/settings/mind.ts'
import { largerThan, SIZES } from '../core/settings/bounds.ts'
import { problemLine, type Result } from '../core/result.ts'
import { pictureSvg } from '../ship/pictures.ts'
import { Unusable, type Shell } from './shell.ts'

function readBytes(path: string, { folder }: Shell): Buffer {
  try {
    const whole = resolve(folder, path)
    if (statSync(whole).size > SIZES.file) throw new Unusable(`${path}: ${largerThan(SIZES.file)}`)
    return readFileSync(whole)
  } catch (error) {
    if (error instanceof Unusable) throw error
    const { code } = error as NodeJS.ErrnoException
    const why =
      code === 'ENOENT' ? 'no such file' : code === 'EISDIR' ? 'is a folder' : `cannot be read (${code})`
    throw new Unusable(`${path}: ${why}`)
  }
}

/** Writes a file. */
export function writeAt(path: string, content: string | Uint8Array, { folder }: Shell): void {
  try {
    writeFileSync(resolve(folder, path), content)
  } catch (error) {
    throw new Unusable(`${path}: cannot be written (${(error as NodeJS.ErrnoException).code})`)
  }
}

function usable<T>(path: string, result: Result<T>): T {
  if (result.ok) return result.value
  throw new Unusable(`${path}: ${problemLine(result.problem)}`)
}

/** A game from its file, or from a shipped page. */
export const gameAt = (path: string, shell: Shell): Game => usable(path, readAnyGame(readBytes(path, shell)))

/** A played game. */
export const recordAt = (path: string, shell: Shell): PlayRecord =>
  usable(path, readRecord(textAt(path, shell)))

/** A simulated player. */
export const mindAt = (path: string, shell: Shell): Mind => usable(path, readMind(textAt(path, shell)))

const textOf = (path: string, bytes: Uint8Array): string => usable(path, readUtf8(bytes))

/** The text of a file. */
export const textAt = (path: string, shell: Shell): string => textOf(path, readBytes(path, shell))

/** Boards that another program dealt. */
export const boardsAt = (path: string, size: GivenSize, shell: Shell): ReadBoards =>
  usable(path, readBoards(textAt(path, shell), size))

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
  const drawing = Object.hasOwn(pictureLibrary(), name) ? pictureLibrary()[name] : undefined
  return drawing ? pictureSvg(drawing.body) : null
}
