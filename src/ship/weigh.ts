import type { Game } from '../core/game/game.ts'

/** What a shipped page is made of, in bytes. */
export type Weights = { table: number; type: number; pictures: number; words: number; game: number }

const bytes = new TextEncoder()
const lengthOf = (text: string): number => bytes.encode(text).length

/**
 * How much of a page is what: the table that plays, its type, pictures, sounds and images, the words of its languages,
 * and the game itself. In: the whole page, and its parts. Out: bytes; together they are the page's length.
 */
export function weigh(
  html: string,
  { game, art, words }: { game: Game; art: Record<string, string>; words: object },
): Weights {
  const type = [...html.matchAll(/url\(["']?(data:font[^)"']*)/g)].reduce(
    (sum, [, url]) => sum + url!.length,
    0,
  )
  const own = JSON.stringify(game)
  const inGame = [...own.matchAll(/"data:(?:image|audio)[^"]*"/g)].reduce((sum, [url]) => sum + url.length, 0)
  const pictures = lengthOf(JSON.stringify(art)) + inGame
  const textBytes = lengthOf(
    JSON.stringify(Object.values(words).map((messages: object) => Object.values(messages))),
  )
  const data = lengthOf(own) - inGame
  const table = lengthOf(html) - type - pictures - textBytes - data
  return { table, type, pictures, words: textBytes, game: data }
}
