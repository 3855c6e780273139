import { draw } from './draw.ts'
import type { Stream } from './seed.ts'

/**
 * Shuffles `items` in place; every order is equally likely. Fisher–Yates, from the last place down
 * (R. Durstenfeld, CACM 7, 1964). One draw for each place.
 */
export function shuffle<T>(items: T[], stream: Stream): T[] {
  for (let i = items.length - 1; i > 0; i--) {
    const j = draw(stream, i + 1)
    const item = items[i]!
    items[i] = items[j]!
    items[j] = item
  }
  return items
}

/**
 * `count` of the items at random, each subset equally likely, in their old order.
 * In: count from 0 to items.length. The first places of a Fisher–Yates from the front, sorted again.
 */
export function sample(size: number, count: number, stream: Stream): number[] {
  const places = Array.from({ length: size }, (_, i) => i)
  for (let i = 0; i < count; i++) {
    const j = i + draw(stream, size - i)
    const place = places[i]!
    places[i] = places[j]!
    places[j] = place
  }
  return places.slice(0, count).sort((a, b) => a - b)
}
