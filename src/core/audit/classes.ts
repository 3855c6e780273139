import { comeAgain, drawnPairs } from '../deck/select.ts'
import { openCells } from '../board/cells.ts'
import { fillIsRandom, fillPairs } from '../deal/fill.ts'
import { streamOf } from '../deal/seed.ts'
import type { Pair } from '../deck/pair.ts'
import type { Settings } from '../settings/settings.ts'

/**
 * Which pairs of a level are interchangeable: a class number for each pair of the deck. Where repeated pairs are laid
 * apart, one with more copies takes other places, and so does one with two different faces; all others are alike, and
 * then there is only one class, 0.
 */
export function pairClasses(
  pairs: readonly Pair[],
  { board, fill, deal }: Pick<Settings, 'board' | 'fill' | 'deal'>,
): Uint8Array {
  const classes = new Uint8Array(pairs.length)
  const selection = drawnPairs(pairs, fill)
  const pairCount = openCells(board).length / 2
  if (deal.way !== 'apart' || !comeAgain(selection, pairCount, fill) || !selection.length) return classes
  const copies = new Map<number, number>()
  // which pairs get an extra copy is left to chance, or is always the same
  if (!fillIsRandom(selection.length, pairCount, fill))
    for (const pair of fillPairs(selection, pairCount, fill, streamOf('', 'picking')))
      copies.set(pair, (copies.get(pair) ?? 0) + 1)
  const names = new Map<string, number>()
  for (const pair of selection) {
    const name = `${copies.get(pair) ?? ''}${pairs[pair]!.b ? ' related' : ''}`
    if (!names.has(name)) names.set(name, names.size)
    classes[pair] = names.get(name)!
  }
  return classes
}
