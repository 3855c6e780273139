import type { Game } from '../../../core/game/game.ts'
import type { Pair } from '../../../core/deck/pair.ts'

const cache = new WeakMap<readonly Pair[], Pair[]>()
const BARE = { kind: 'text', text: '·' } as const

/** Only what a deal depends on goes to the workers; images stay here. A deck is stripped once. */
export function lightPairs(pairs: readonly Pair[]): Pair[] {
  let light = cache.get(pairs)
  if (!light) {
    light = pairs.map(({ id, name, tags, b }) => ({
      id,
      name,
      ...(tags ? { tags } : {}),
      a: BARE,
      ...(b ? { b: BARE } : {}),
    }))
    cache.set(pairs, light)
  }
  return light
}
/** A copy without proxies, which can be sent to a worker. */
export const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T

/** A game without its art, which can be sent to a worker quickly. */
export const bareGame = (game: Game): Game => ({
  ...game,
  deck: {
    back: { ...game.deck.back, emblem: undefined, image: undefined },
    pairs: lightPairs(game.deck.pairs),
  },
})
