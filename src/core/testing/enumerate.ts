import type { CellGraph } from '../board/steps.ts'
import { cardOf, cardsMatch, NO_CARD, type Card } from '../deck/card.ts'
import { openCells } from '../board/cells.ts'
import { stepsBetween } from '../board/steps.ts'
import type { Pair } from '../deck/pair.ts'
import type { Settings } from '../settings/settings.ts'

/** Every deal that a small level allows, found by trying all of them; written as joined cells. */

/** Every order of these cards that looks different, laid on the open cells. */
export function arrangements(cards: readonly Card[], keep: (laid: readonly Card[]) => boolean): Card[][] {
  const results: Card[][] = []
  const counts = new Map<Card, number>()
  for (const card of cards) counts.set(card, (counts.get(card) ?? 0) + 1)
  const laid: Card[] = []
  const go = (): void => {
    if (!keep(laid)) return
    if (laid.length === cards.length) {
      results.push([...laid])
      return
    }
    for (const [card, count] of counts) {
      if (!count) continue
      counts.set(card, count - 1)
      laid.push(card)
      go()
      laid.pop()
      counts.set(card, count)
    }
  }
  go()
  return results
}

/** All ways to choose how often each of `size` pairs lies on the board. */
function fills(size: number, needed: number, { pick, repeat }: Settings['fill']): number[][] {
  const each = Math.floor(needed / size)
  const extra = needed % size
  const anyNumber = repeat === 'with-replacement' || (size < needed && repeat === 'at-random')
  const [low, high] = anyNumber ? [0, needed] : [each, each + 1]
  const all: number[][] = [[]]
  for (let i = 0; i < size; i++)
    for (const copies of all.splice(0))
      for (let count = low; count <= high; count++) all.push([...copies, count])
  const sum = (copies: number[]): number => copies.reduce((a, b) => a + b, 0)
  const right = all.filter((copies) => sum(copies) === needed)
  if (pick === 'random' || anyNumber) return right
  return [Array.from({ length: size }, (_, i) => each + (i < extra ? 1 : 0))]
}

/** Whether the laid cards, the last of them just added, keep `apart`; a card without its twin yet is no problem. */
const keepsApart =
  (cells: readonly number[], columns: number, steps: number) =>
  (laid: readonly Card[]): boolean => {
    const last = laid.length - 1
    return laid.every(
      (card, i) =>
        i === last ||
        !cardsMatch(card, laid[last]!) ||
        stepsBetween(cells[i]!, cells[last]!, columns) >= steps,
    )
  }

/** Whether every card has its own twin within this many steps. In: pairs that are on the board once. */
const keepsClose =
  (cells: readonly number[], columns: number, steps: number) =>
  (laid: readonly Card[]): boolean =>
    laid.length < cells.length ||
    laid.every((card, i) =>
      laid.some(
        (other, j) =>
          j !== i && cardsMatch(card, other) && stepsBetween(cells[i]!, cells[j]!, columns) <= steps,
      ),
    )

export function allDeals(pairs: readonly Pair[], settings: Settings): Set<string> {
  const cells = openCells(settings.board)
  const { columns } = settings.board
  const { way, steps } = settings.deal
  const keep =
    way === 'apart'
      ? keepsApart(cells, columns, steps)
      : way === 'close'
        ? keepsClose(cells, columns, steps)
        : () => true
  const deals = new Set<string>()
  for (const copies of fills(pairs.length, cells.length / 2, settings.fill)) {
    const cards = pairs.flatMap(({ b }, pair) =>
      Array.from({ length: copies[pair]! }, () => [
        cardOf(pair, 'a', b !== undefined),
        cardOf(pair, b ? 'b' : 'a', b !== undefined),
      ]).flat(),
    )
    const laid = way === 'in-order' ? [cards] : arrangements(cards, keep)
    for (const one of laid) deals.add(one.join())
  }
  return deals
}

/** A deal as `allDeals` writes it. */
export const dealKey = (cells: readonly Card[]): string => cells.filter((card) => card !== NO_CARD).join()

/** All perfect matchings, by trying, each vertex with its mates in rising order. */
export function everyMatching(graph: CellGraph, mates: number[] = graph.map(() => -1)): number[][] {
  const v = mates.indexOf(-1)
  if (v < 0) return [mates]
  return graph[v]!.filter((u) => mates[u] === -1).flatMap((u) => {
    const next = [...mates]
    next[v] = u
    next[u] = v
    return everyMatching(graph, next)
  })
}
