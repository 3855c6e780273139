import type { StoredGame } from '../../store/db.ts'

/** Ways to sort the games on the shelf, each with its words. */
export const ORDERS = [
  ['touched', 'last changed first'],
  ['title', 'by title'],
  ['pairs', 'most pairs first'],
] as const
export type Order = (typeof ORDERS)[number][0]

/** This many games are seen at a glance; if there are more, they can be searched and sorted. */
export const AT_A_GLANCE = 8
/** With fewer games than this, the shelf shows ways to start. */
export const FEW = 4

const plain = (text: string): string => text.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase()

/**
 * The games that a search finds, in the chosen order. A game is found if each word is in its title, in a level's name,
 * or in a pair's name or tags; case and accents are ignored. Games that are equal in this order keep their places.
 */
export function foundBoxes(boxes: readonly StoredGame[], query: string, order: Order): StoredGame[] {
  const words = plain(query).split(/\s+/).filter(Boolean)
  const textOf = ({ game }: StoredGame): string =>
    plain(
      [
        game.title,
        ...game.levels.map(({ name }) => name),
        ...game.deck.pairs.flatMap(({ name, tags = [] }) => [name, ...tags]),
      ].join('\n'),
    )
  const matches = boxes.filter((box) => {
    if (!words.length) return true
    const text = textOf(box)
    return words.every((word) => text.includes(word))
  })
  const compare: Record<Order, (a: StoredGame, b: StoredGame) => number> = {
    touched: (a, b) => b.touched - a.touched,
    title: (a, b) => a.game.title.localeCompare(b.game.title, undefined, { numeric: true }),
    pairs: (a, b) => b.game.deck.pairs.length - a.game.deck.pairs.length,
  }
  return matches.sort(compare[order])
}
