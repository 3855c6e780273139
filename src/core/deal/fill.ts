import { drawsWithReplacement } from '../deck/select.ts'
import type { Settings } from '../settings/settings.ts'
import { draw } from './draw.ts'
import type { Stream } from './seed.ts'
import { sample } from './shuffle.ts'

/** Whether the pairs of a board depend on the seed; if not, they are worked out only once. */
export function fillIsRandom(selected: number, needed: number, fill: Settings['fill']): boolean {
  if (drawsWithReplacement(selected, needed, fill)) return true
  return fill.pick === 'random' && (selected >= needed ? selected > needed : needed % selected > 0)
}

/**
 * The pairs that go on the board: `needed` entries of `selection` (indices into the deck), in deck order, a repeated
 * pair several times in a row. In: a selection of at least one, and of at least `needed` if repeat is `never`.
 */
export function fillPairs(
  selection: readonly number[],
  pairCount: number,
  fill: Settings['fill'],
  stream: Stream,
): number[] {
  const size = selection.length
  const some = (count: number): number[] =>
    fill.pick === 'random' && count < size
      ? sample(size, count, stream)
      : Array.from({ length: count }, (_, i) => i)
  let places: number[]
  if (drawsWithReplacement(size, pairCount, fill))
    places = Array.from({ length: pairCount }, () => draw(stream, size))
  else if (size >= pairCount) places = some(pairCount)
  else {
    places = some(pairCount % size)
    for (let round = Math.floor(pairCount / size); round > 0; round--)
      for (let i = 0; i < size; i++) places.push(i)
  }
  return places.sort((a, b) => a - b).map((place) => selection[place]!)
}
