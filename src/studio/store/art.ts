import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js'
import { produce } from 'immer'
import type { Game } from '../../core/game/game.ts'
import { imagesOf } from '../../core/game/images.ts'

/** An own image as it is kept: once by its content, however many faces and games show it. */
export type Art = { hash: string; src: string }

const REFERENCE = 'art:'
const hashes = new Map<string, string>()

function hashOf(src: string): string {
  const known = hashes.get(src)
  if (known) return known
  const hash = bytesToHex(sha256(utf8ToBytes(src)))
  hashes.set(src, hash)
  return hash
}

/** A game whose images are references, and the images they refer to, each once. */
export function packed(game: Game): { game: Game; art: Art[] } {
  const art = new Map<string, Art>()
  const light = produce(game, (draft) => {
    for (const { src, put } of imagesOf(draft)) {
      const hash = hashOf(src)
      art.set(hash, { hash, src })
      put(REFERENCE + hash)
    }
  })
  return { game: light, art: [...art.values()] }
}

/** The hashes that a packed game refers to, each once. */
export const artOf = (light: Game): string[] => [
  ...new Set(
    imagesOf(light).flatMap(({ src }) => (src.startsWith(REFERENCE) ? [src.slice(REFERENCE.length)] : [])),
  ),
]

/** Puts the images back into a packed game, in place. What is not in `art` stays a reference. */
export function unpack(light: Game, art: ReadonlyMap<string, string>): Game {
  for (const { src, put } of imagesOf(light)) {
    const known = src.startsWith(REFERENCE) ? art.get(src.slice(REFERENCE.length)) : undefined
    if (known === undefined) continue
    hashes.set(known, src.slice(REFERENCE.length))
    put(known)
  }
  return light
}
