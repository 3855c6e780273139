import { NO_CARD, pairOf, sideOf } from '../deck/card.ts'
import type { Pair } from '../deck/pair.ts'
import { cellName } from '../board/cells.ts'
import type { Cells } from '../deal/deal.ts'

/** A board for people: columns lettered, rows numbered, every card by its pair's id, related ones with their side. */
export function textGrid(
  pairs: readonly Pair[],
  level: string,
  seed: string,
  cells: Cells,
  columns: number,
): string {
  const words = cells.map((card) => {
    if (card === NO_CARD) return '·'
    const pair = pairs[pairOf(card)]!
    return pair.b ? `${pair.id}/${sideOf(card)}` : pair.id
  })
  const wide = Math.max(...words.map((word) => word.length))
  const row = (head: string, entries: string[]): string =>
    `${head.padStart(2)}  ${entries.map((word) => word.padEnd(wide)).join('  ')}`.trimEnd()
  const lines = [
    `${level}, seed ${seed}`,
    row(
      '',
      Array.from({ length: columns }, (_, i) => cellName(i, columns)[0]!),
    ),
  ]
  for (let at = 0; at < words.length; at += columns)
    lines.push(row(String(at / columns + 1), words.slice(at, at + columns)))
  return lines.join('\n') + '\n'
}
