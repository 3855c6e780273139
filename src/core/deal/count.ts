import { comeAgain, drawnPairs, drawsWithReplacement } from '../deck/select.ts'
import type { Pair } from '../deck/pair.ts'
import type { Settings } from '../settings/settings.ts'
import { openCells } from '../board/cells.ts'
import { partMatchings } from './part-matchings.ts'
import { cellGraph } from '../board/steps.ts'

/** A list of numbers by their natural logarithms; the numbers here run to 10⁸⁰⁰. */
type Logs = number[]
const NONE = -Infinity

function addLogs(one: number, other: number): number {
  const [low, high] = one < other ? [one, other] : [other, one]
  return low === NONE ? high : high + Math.log1p(Math.exp(low - high))
}

/** The product of two polynomials given by the logarithms of their coefficients, up to the power `most`. */
function times(one: Logs, other: Logs, most: number): Logs {
  const product = new Array<number>(Math.min(most, one.length + other.length - 2) + 1).fill(NONE)
  one.forEach((a, i) => {
    if (a === NONE) return
    for (let j = 0; j < other.length && i + j <= most; j++)
      product[i + j] = addLogs(product[i + j]!, a + other[j]!)
  })
  return product
}

function power(base: Logs, exponent: number, most: number): Logs {
  let product: Logs = [0]
  let square = base
  for (let rest = exponent; rest > 0; rest >>= 1) {
    if (rest & 1) product = times(product, square, most)
    if (rest > 1) square = times(square, square, most)
  }
  return product
}

const logFactorials: Logs = [0]
function logFactorial(n: number): number {
  for (let i = logFactorials.length; i <= n; i++) logFactorials.push(logFactorials[i - 1]! + Math.log(i))
  return logFactorials[n]!
}

/**
 * How many different deals a level has, as a natural logarithm. Two deals differ if some cell shows another face. Exact
 * except for rounding (relative error under 10⁻⁹). Null where no fast enough method is known: `apart` and `close` with
 * repeats, and on large boards. In: a level that can be dealt.
 *
 * A pair with m copies on the board can be laid in N! / (2m)! ways if identical, N! / m!² if related; the product over
 * pairs, summed over what can be picked, is a coefficient of a product of polynomials, one a pair.
 */
export function logDeals(
  pairs: readonly Pair[],
  { board, fill, deal }: Pick<Settings, 'board' | 'fill' | 'deal'>,
): number | null {
  if (deal.way === 'arranged') return 0
  const drawSet = drawnPairs(pairs, fill)
  const selection = [...new Set(drawSet)]
  const cells = openCells(board)
  const pairCount = cells.length / 2
  const related = selection.filter((pair) => pairs[pair]!.b).length
  const stepwise = deal.way === 'apart' || deal.way === 'close'
  if (stepwise && comeAgain(drawSet, pairCount, fill) && !(deal.way === 'apart' && deal.steps === 1))
    return null

  /** the logarithm of 1 / the number of ways in which a pair's own cards can swap places without a difference */
  const weight = (copies: number, isRelated: boolean): number =>
    deal.way === 'in-order' ? 0 : isRelated ? -2 * logFactorial(copies) : -logFactorial(2 * copies)
  const selectionPicks: Picks =
    fill.repeat === 'counts'
      ? { kind: 'fixed', copies: (i) => fill.counts[pairs[selection[i]!]!.id]! }
      : picks(fill, selection.length, pairCount)
  const weights = (isRelated: boolean, from: number, to: number): Logs =>
    Array.from({ length: to - from + 1 }, (_, i) => weight(from + i, isRelated))
  let sum: number
  if (selectionPicks.kind === 'fixed') {
    sum = 0
    selection.forEach((pair, i) => (sum += weight(selectionPicks.copies(i), pairs[pair]!.b !== undefined)))
  } else {
    const { least, most, extra } = selectionPicks
    const product = times(
      power(weights(true, least, most), related, extra),
      power(weights(false, least, most), selection.length - related, extra),
      extra,
    )
    sum = product[extra] ?? NONE
  }
  if (deal.way === 'in-order') return sum
  const laid = logFactorial(cells.length)
  if (!stepwise) return sum + laid
  const share = logShareOfMatchings(cells, board.columns, deal.way as 'apart' | 'close', deal.steps)
  return share === null ? null : sum + laid + share
}

type Picks =
  | { kind: 'fixed'; copies: (i: number) => number }
  | { kind: 'free'; least: number; most: number; extra: number }

/** What can be picked: every pair `least` to `most` times, with `extra` pairs on top of `least` of each. */
function picks(fill: Settings['fill'], size: number, pairCount: number): Picks {
  const [each, extra] = [Math.floor(pairCount / size), pairCount % size]
  if (drawsWithReplacement(size, pairCount, fill))
    return { kind: 'free', least: 0, most: pairCount, extra: pairCount }
  if (fill.pick === 'random') return { kind: 'free', least: each, most: each + 1, extra }
  return { kind: 'fixed', copies: (i) => each + (i < extra ? 1 : 0) }
}

/** The logarithm of the share of all ways to pair the cells that keep a rule of steps; null if it cannot be counted. */
function logShareOfMatchings(
  cells: readonly number[],
  columns: number,
  way: 'apart' | 'close',
  steps: number,
): number | null {
  const near = (s: number): boolean => (way === 'apart' ? s < steps : s <= steps)
  const parts = partMatchings(cellGraph(cells, columns, near))
  if (!parts) return null
  const half = cells.length / 2
  // the ways to pair 2k things are (2k − 1)!!
  const all = [1n]
  for (let k = 1; k <= half; k++) all.push(all[k - 1]! * BigInt(2 * k - 1))
  // none of the pairs too close: by inclusion and exclusion over those that are too close
  const combined =
    way === 'close'
      ? (parts[half] ?? 0n)
      : parts.reduce((sum, count, k) => sum + (k % 2 ? -1n : 1n) * count * all[half - k]!, 0n)
  return logOf(combined) - logOf(all[half]!)
}

/** The natural logarithm of a whole number of any size. */
export function logOf(n: bigint): number {
  const text = n.toString()
  return n === 0n ? NONE : Math.log(Number(text.slice(0, 15))) + Math.max(0, text.length - 15) * Math.LN10
}
