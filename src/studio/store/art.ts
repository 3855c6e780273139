import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js'
import type { Game } from '../../core/game/game.ts'
import { ownFilesOf, withOwnFiles } from '../../core/game/own-files.ts'
import { isTrusted, trust } from './sound-images.ts'

/**
 * An own image or sound as it is stored: once by its content, however many faces and games show it; `sound`: it was
 * checked when it came in, against these bounds.
 */
export type StoredImage = { hash: string; src: string; sound?: number }
/** Raised when images are checked against other bounds. */
const CHECKED_BY = 1

const REFERENCE = 'art:'
const hashes = new Map<string, string>()

function hashOf(src: string): string {
  const cached = hashes.get(src)
  if (cached) return cached
  const hash = bytesToHex(sha256(utf8ToBytes(src)))
  hashes.set(src, hash)
  return hash
}

/** A game whose own images and sounds are references, and the files they refer to, each once. */
export function packed(game: Game): { game: Game; art: StoredImage[] } {
  const art = new Map<string, StoredImage>()
  const light = withOwnFiles(game, (src) => {
    const hash = hashOf(src)
    art.set(hash, { hash, src, ...(isTrusted(src) ? { sound: CHECKED_BY } : {}) })
    return REFERENCE + hash
  })
  return { game: light, art: [...art.values()] }
}

/** The hashes that a packed game refers to, each once. */
export const artOf = (light: Game): string[] => [
  ...new Set(
    ownFilesOf(light).flatMap(({ src }) => (src.startsWith(REFERENCE) ? [src.slice(REFERENCE.length)] : [])),
  ),
]

/** Puts the images and sounds back into a packed game, in place. References missing from `art` stay references. */
export function unpack(light: Game, art: ReadonlyMap<string, string>): Game {
  for (const { src, put } of ownFilesOf(light)) {
    const cached = src.startsWith(REFERENCE) ? art.get(src.slice(REFERENCE.length)) : undefined
    if (cached === undefined) continue
    hashes.set(cached, src.slice(REFERENCE.length))
    put(cached)
  }
  return light
}

/** Remembers for this visit what is known of a stored image. */
export function rememberSound({ src, sound }: StoredImage): void {
  if (sound === CHECKED_BY) trust(src)
}
