import { cardNames } from '../deck/card-name.ts'
import type { Dealer } from '../deal/deal.ts'
import type { Game } from '../game/game.ts'
import type { Level } from '../settings/levels.ts'
import { writeDeal } from './deal-file.ts'
import { rowsCsv } from './rows.ts'
import { textGrid } from './text-grid.ts'

/**
 * The forms in which deals are exported: a JSON object a line; grids for people; CSV with a board a row, cell by cell,
 * gaps empty.
 */
export type DealtFormat = 'json' | 'grid' | 'csv'

/** The seeds for a number of deals: this one, or TEXT-1 … TEXT-N. */
export const seedsFrom = (seed: string, count: number): string[] =>
  count === 1 ? [seed] : Array.from({ length: count }, (_, i) => `${seed}-${i + 1}`)

/**
 * One deal of a level as text, its line or lines ended by LF, in CSV by CR LF. In: the level's dealer, and the seed.
 */
export function dealtText(
  { deck }: { deck: Pick<Game['deck'], 'pairs'> },
  level: Pick<Level, 'id' | 'name'>,
  dealer: Dealer,
  seed: string,
  format: DealtFormat,
): string {
  const cells = dealer.deal(seed)
  const { rows, columns } = dealer
  if (format === 'grid') return textGrid(deck.pairs, level.name, seed, cells, columns)
  if (format === 'json') return writeDeal({ level: level.id, seed, rows, columns, cells }, deck.pairs) + '\n'
  // Papa writes nothing for null
  return rowsCsv([cardNames(cells, deck.pairs)])
}
