import type { Game } from '../../core/game/game.ts'

/**
 * A game is stored in parts, so that of a large one that is saved after every edit only what was changed is written out and stored anew: all its pairs are one
 * part and every level is one; what is left is the frame.
 */
export type Part = Game['deck']['pairs'] | Game['levels'][number]

/** The parts of a game, the pairs first. They never change: what is another part is another value. */
export const partsOf = (game: Game): readonly Part[] => [game.deck.pairs, ...game.levels]

/** A value as JSON of ASCII letters alone: to the browser such text is half as long. */
export const plainJson = (value: unknown): string =>
  JSON.stringify(value).replaceAll(
    /[^\0-\x7f]/g,
    (letter) => `\\u${letter.charCodeAt(0).toString(16).padStart(4, '0')}`,
  )

/** A game without its parts, as JSON. */
export const frameText = (game: Game): string =>
  plainJson({ ...game, deck: { ...game.deck, pairs: [] }, levels: [] })

/** The game of a frame and its parts, in their order, each as JSON. */
export function gameOf(frame: string, parts: readonly string[]): Game {
  const game = JSON.parse(frame) as Game
  const [pairs, ...levels] = parts.map((part) => JSON.parse(part) as unknown)
  return {
    ...game,
    deck: { ...game.deck, pairs: pairs as Game['deck']['pairs'] },
    levels: levels as Game['levels'],
  }
}
