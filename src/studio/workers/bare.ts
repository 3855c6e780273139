import type { Game, Pair } from '../../core/game/game.ts'

/** Only what a deal depends on goes to the workers; images stay here. */
export const bare = (pairs: readonly Pair[]): Pair[] => {
  const face = { kind: 'text', text: '·' } as const
  return pairs.map(({ id, name, tags, b }) => ({
    id,
    name,
    ...(tags ? { tags: [...tags] } : {}),
    a: face,
    ...(b ? { b: face } : {}),
  }))
}
/** A copy without proxies, that a worker can be given. */
export const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T

/** A game without its art, that is quickly given to a worker. */
export const bareGame = (game: Game): Game => ({
  ...game,
  deck: { back: { ...game.deck.back, emblem: undefined, image: undefined }, pairs: bare(game.deck.pairs) },
})
