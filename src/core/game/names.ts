import { LENGTHS } from '../settings/bounds.ts'
import { newId } from '../settings/new-id.ts'
import type { Game } from './game.ts'

/**
 * A title that no other game has: "Word game", then "Word game 2", "Word game 3", … In: the wanted title, and those
 * already taken.
 */
export function freeTitle(wish: string, titles: Iterable<string>): string {
  const takenTitles = new Set(titles)
  if (!takenTitles.has(wish)) return wish
  for (let number = 2; ; number++) {
    const end = ` ${number}`
    const title = wish.slice(0, LENGTHS.title - end.length) + end
    if (!takenTitles.has(title)) return title
  }
}

/**
 * How the names of a game's files begin: its title written like an id, or its id if no letter of the title can be used.
 * "The Clockmaker's Drawer" gives "the-clockmakers-drawer".
 */
export const fileStem = ({ title, id }: Pick<Game, 'title' | 'id'>): string =>
  newId(title.replace(/['’]/g, ''), [], id)

/** The name of a game's own file. */
export const gameFileName = (game: Pick<Game, 'title' | 'id'>): string => `${fileStem(game)}.game.json`
