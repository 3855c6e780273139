import { z } from 'zod'
import { countWords } from '../count-words.ts'
import { cardNames } from '../deck/card-name.ts'
import { cardOf, NO_CARD, type Card } from '../deck/card.ts'
import type { Cells } from '../deal/deal.ts'
import type { Pair } from '../deck/pair.ts'
import { idSchema, seedSchema } from '../game/schema-parts.ts'
import { BOUNDS } from '../settings/bounds.ts'
import { bad, good, quoted, type Result } from '../result.ts'
import { parseJson, readWith } from './read-json.ts'

const side = z.int().min(BOUNDS.side[0]).max(BOUNDS.side[1])

/** One deal: a JSON object a line. `cells` row by row: "pair-id/a", "pair-id/b" or null for a gap. */
export const dealSchema = z.strictObject({
  level: idSchema,
  seed: seedSchema,
  rows: side,
  columns: side,
  cells: z.array(z.unknown()).max(BOUNDS.cards[1]).pipe(z.array(z.string().nullable()).max(BOUNDS.cards[1])),
})
export type DealLine = z.infer<typeof dealSchema>

/** A deal as its line, without the line's end. */
export function writeDeal(
  deal: { level: string; seed: string; rows: number; columns: number; cells: Cells },
  pairs: readonly Pair[],
): string {
  const { level, seed, rows, columns } = deal
  const cells = cardNames(deal.cells, pairs)
  return JSON.stringify({ level, seed, rows, columns, cells } satisfies DealLine)
}

/** A deal from its line, its cards found in a deck. A problem names the key, or the cell that is unknown. */
export function readDeal(
  line: string,
  pairs: readonly Pair[],
): Result<Omit<DealLine, 'cells'> & { cells: Cells }> {
  const json = parseJson(line)
  if (!json.ok) return json
  const fileDeal = readWith(dealSchema, json.value)
  if (!fileDeal.ok) return fileDeal
  const deal = fileDeal.value
  if (deal.cells.length !== deal.rows * deal.columns)
    return bad(
      'cells',
      `this deal has ${countWords(deal.cells.length, 'cell')}; a ${deal.rows} × ${deal.columns} board needs ${deal.rows * deal.columns}`,
    )
  const byName = new Map<string, Card>()
  pairs.forEach(({ id, b }, pair) => {
    byName.set(`${id}/a`, cardOf(pair, 'a', b !== undefined))
    if (b) byName.set(`${id}/b`, cardOf(pair, 'b', true))
  })
  const cells: Card[] = []
  for (const [i, name] of deal.cells.entries()) {
    const card = name === null ? NO_CARD : byName.get(name)
    if (card === undefined) return bad(`cells[${i}]`, `no card ${quoted(name!)} in the deck`)
    cells.push(card)
  }
  return good({ ...deal, cells })
}

/** All deals of a file, one a line; empty lines are skipped. A problem names the line. */
export function readDeals(
  text: string,
  pairs: readonly Pair[],
): Result<(Omit<DealLine, 'cells'> & { cells: Cells })[]> {
  const deals = []
  for (const [i, line] of text.split('\n').entries()) {
    if (!line.trim()) continue
    const deal = readDeal(line, pairs)
    if (!deal.ok)
      return bad(`line ${i + 1}${deal.problem.at ? `, ${deal.problem.at}` : ''}`, deal.problem.message)
    deals.push(deal.value)
  }
  return good(deals)
}
