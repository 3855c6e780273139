import type { Game, Own } from './game.ts'

/** A place in a game that holds an own image; `put` writes another source there. */
export type ImagePlace = { src: string; at: string; put: (src: string) => void }

/** Every own image of a game: on faces, as the back and on it, behind the cards. In: a game, or parsed JSON that may be anything. */
export function imagesOf(game: unknown): ImagePlace[] {
  const { deck, house, levels } = (game ?? {}) as { [K in 'deck' | 'house' | 'levels']?: Partial<Game[K]> }
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
  const behind = (rung: Own | undefined, at: string): void => {
    if (rung?.look?.behind?.kind === 'image') look(rung.look.behind, 'src', `${at}.look.behind`)
  }
  behind(house, 'house')
  if (Array.isArray(levels)) levels.forEach((level, i) => behind(level, `levels[${i}]`))
  return found
}
