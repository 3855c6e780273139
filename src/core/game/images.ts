import type { Game } from './game.ts'

/** A place in a game that holds an own image; `put` writes another source there. */
export type ImagePlace = { src: string; at: string; put: (src: string) => void }

/** Every own image of a game: on faces, as the back and on it. In: a game, or parsed JSON that may be anything. */
export function imagesOf(game: unknown): ImagePlace[] {
  const { deck } = (game ?? {}) as { deck?: Partial<Game['deck']> }
  const found: ImagePlace[] = []
  const look = (holder: unknown, key: string, at: string): void => {
    const box = holder as Record<string, unknown> | null | undefined
    const src = box?.[key]
    if (typeof src === 'string') found.push({ src, at: `${at}.${key}`, put: (next) => (box![key] = next) })
  }
  if (Array.isArray(deck?.pairs))
    deck.pairs.forEach((pair, i) => {
      for (const side of ['a', 'b'] as const)
        if (pair?.[side]?.kind === 'image') look(pair[side], 'src', `deck.pairs[${i}].${side}`)
    })
  look(deck?.back, 'image', 'deck.back')
  if (deck?.back?.emblem?.kind === 'image') look(deck.back.emblem, 'src', 'deck.back.emblem')
  return found
}
