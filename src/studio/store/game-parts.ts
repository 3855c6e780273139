import type { Pair } from '../../core/deck/pair.ts'
import type { Game } from '../../core/game/game.ts'
import type { Level } from '../../core/settings/levels.ts'
import { BOUNDS } from '../../core/settings/bounds.ts'
import { slicesOf } from './same.ts'

/**
 * A game is stored in parts, so that a large one that is saved after every edit writes only what changed: every hundred
 * of its pairs are one part and every level is one; the rest is the frame. Parts never change: a changed part is a new
 * value.
 */
type GamePart = readonly Pair[] | Level
/** The parts of a game by their keys in the storage: its pairs from 0, its levels from `LEVELS_AT`. */
export type Parts = ReadonlyMap<number, GamePart>

const PAIRS_IN_PART = 100
const LEVELS_AT = BOUNDS.pairs[1] / PAIRS_IN_PART

/**
 * The parts of a game, in order. `before`: those of the game as it was; a part with the same content stays the same
 * value.
 */
export function partsOf(game: Game, before: Parts = new Map()): Parts {
  const lists = [...before.values()].filter((part): part is readonly Pair[] => Array.isArray(part))
  const slices = slicesOf(game.deck.pairs, PAIRS_IN_PART, lists)
  return new Map<number, GamePart>([
    ...slices.map((slice, i): [number, GamePart] => [i, slice]),
    ...game.levels.map((level, i): [number, GamePart] => [LEVELS_AT + i, level]),
  ])
}

/** A value as JSON of ASCII characters alone: such text takes the browser half the space. */
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
  const values = parts.map((text) => JSON.parse(text) as Pair[] | Level)
  return {
    ...game,
    deck: { ...game.deck, pairs: values.flatMap((part) => (Array.isArray(part) ? part : [])) },
    levels: values.filter((part): part is Level => !Array.isArray(part)),
  }
}
