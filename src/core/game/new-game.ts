import { capitalized, pictureTitle } from '../deck/picture-words.ts'
import { DEFAULT_BACK } from '../settings/back.ts'
import { numberWord } from '../deck/number-word.ts'
import { boardFor } from '../board/board-for.ts'
import type { Face, Pair } from '../deck/pair.ts'
import type { Game } from './game.ts'
import type { Level } from '../settings/levels.ts'
import { newId } from '../settings/new-id.ts'
import { LENGTHS } from '../settings/bounds.ts'
import { DEFAULTS } from '../settings/settings.ts'

export type Start = 'pictures' | 'images' | 'words' | 'letters'

/** Pictures for a new game: things of a workshop, no two much alike. */
const PICTURES =
  'gear old-key compass bell candle magnet telescope hourglass-not-done light-bulb balance-scale toolbox microscope anchor camera umbrella rocket drum kite locomotive sailboat crown scissors teapot violin tent world-map hammer snowflake puzzle-piece abacus balloon trophy parachute ladder envelope accordion radio glasses backpack'.split(
    ' ',
  )

/** Pairs of library pictures, named for what they show. In: the names of the pictures, and the ids that are in use. */
export function picturePairs(names: readonly string[], usedIds: Iterable<string> = []): Pair[] {
  const ids = [...usedIds]
  return names.map((picture) => {
    const name = pictureTitle(picture)
    const id = newId(name, ids, 'pair')
    ids.push(id)
    return { id, name, a: { kind: 'picture', name: picture } }
  })
}

/** "The n-th letter or number": A to Z, then 1, 2, 3, … */
const letterOrNumber = (i: number): string => (i < 26 ? String.fromCharCode(65 + i) : String(i - 25))

/** The pairs of a new game of this kind. In: how many, 1 to 200; no more than there are pictures. */
export function startPairs(kind: Exclude<Start, 'images'>, count: number): Pair[] {
  if (kind === 'pictures') return picturePairs(PICTURES.slice(0, count))
  const pairAt = (i: number): { name: string; a: Face; b?: Face } => {
    if (kind === 'letters') {
      const text = letterOrNumber(i)
      return { name: text, a: { kind: 'text', text } }
    }
    const word = numberWord(i + 1)
    return {
      name: capitalized(word),
      a: { kind: 'text', text: String(i + 1) },
      b: { kind: 'text', text: word },
    }
  }
  const ids: string[] = []
  return Array.from({ length: count }, (_, i) => {
    const { name, a, b } = pairAt(i)
    const id = newId(name, ids, 'pair')
    ids.push(id)
    return { id, name, a, ...(b ? { b } : {}) }
  })
}

export const MOST_START_PICTURES = PICTURES.length

/** A game that can be played at once: one level, with all of its pairs on the board. */
export function newGame(name: string, pairs: Pair[]): Game {
  const first: Level = { id: 'first', name: 'First level' }
  return {
    id: newId(name, [], 'game'),
    title: name.slice(0, LENGTHS.title),
    deck: { back: DEFAULT_BACK, pairs },
    house: { ...DEFAULTS, board: boardFor(pairs.length) },
    levels: [first],
  }
}
