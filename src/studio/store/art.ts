import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js'
import type { Game } from '../../core/game/game.ts'
import { ownFilesOf, withOwnFiles } from '../../core/game/own-files.ts'
import { isTrusted, trust } from './sound-images.ts'

/** An own image or sound as it is kept: once by its content, however many faces and games show it; `sound`: it was checked when it came in, by these bounds. */
export type StoredImage = { hash: string; src: string; sound?: number }
/** Grows when images are checked by other bounds. */
const CHECKED_BY = 1

const REFERENCE = 'art:'
const hashes = new Map<string, string>()

function hashOf(src: string): string {
  const known = hashes.get(src)
  if (known) return known
  const hash = bytesToHex(sha256(utf8ToBytes(src)))
  hashes.set(src, hash)
  return hash
}

/** A game whose own images and sounds are references, and what they refer to, each once. */
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

/** Puts the images and sounds back into a packed game, in place. What is not in `art` stays a reference. */
export function unpack(light: Game, art: ReadonlyMap<string, string>): Game {
  for (const { src, put } of ownFilesOf(light)) {
    const known = src.startsWith(REFERENCE) ? art.get(src.slice(REFERENCE.length)) : undefined
    if (known === undefined) continue
    hashes.set(known, src.slice(REFERENCE.length))
    put(known)
  }
  return light
}

/** Takes what is said of a kept image for this visit. */
export function rememberSound({ src, sound }: StoredImage): void {
  if (sound === CHECKED_BY) trust(src)
}
