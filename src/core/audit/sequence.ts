import type { Card } from '../deck/card.ts'

/** What the order of boards tells about how they were made. A board is a list of cards, without its gaps. */
export type Boards = readonly (readonly Card[])[]

/** After how many boards all of them come again in the same order, or 0. In: a number for each board (`Tally.prints`). */
export function periodOf(prints: Float64Array, deals: number): number {
  for (let period = 1; period <= deals / 2; period++) {
    let i = period
    while (i < deals && prints[i] === prints[i - period]) i++
    if (i === deals) return period
  }
  return 0
}

/** Whether every board is the first one, begun at another place. */
export function areCuts(boards: Boards): boolean {
  const [first] = boards
  const size = first!.length
  const isCut = (board: readonly Card[]): boolean => {
    for (let by = 0; by < size; by++)
      if (board.every((card, i) => card === first![(i + by) % size])) return true
    return false
  }
  return boards.every(isCut)
}

/** Fewer equal boards than this tell nothing about how far apart they come. */
const FEWEST_EQUAL = 5

/**
 * How many boards before an equal one comes, if that is the same for most of the boards that come again, and how many
 * of them; else null.
 */
export function lagOf(prints: Float64Array, deals: number): { lag: number; boards: number } | null {
  const lastAt = new Map<number, number>()
  const lags = new Map<number, number>()
  let equal = 0
  for (let i = 0; i < deals; i++) {
    const before = lastAt.get(prints[i]!)
    if (before !== undefined) {
      equal++
      lags.set(i - before, (lags.get(i - before) ?? 0) + 1)
    }
    lastAt.set(prints[i]!, i)
  }
  if (equal < FEWEST_EQUAL) return null
  for (const [lag, boards] of lags) if (boards > equal / 2) return { lag, boards }
  return null
}

/** This many standard errors are beyond chance, and so much more than between far boards is worth a word. */
const CERTAIN = 6
const WORTH_TELLING = 1.3

/**
 * How many cards lie where they lay on the board before, on average, and how many agree between boards that come half
 * the list apart; null unless the former are clearly more. Equal boards are not compared.
 */
export function likeTheLast(boards: Boards): { near: number; far: number } | null {
  const agreeing = (lag: number): { mean: number; error: number } => {
    let [count, sum, squares] = [0, 0, 0]
    for (let i = lag; i < boards.length; i++) {
      const [one, other] = [boards[i - lag]!, boards[i]!]
      let same = 0
      for (let place = 0; place < one.length; place++) if (one[place] === other[place]) same++
      if (same === one.length) continue
      count++
      sum += same
      squares += same * same
    }
    const mean = count ? sum / count : 0
    return {
      mean,
      error: count > 1 ? Math.sqrt(Math.max(0, squares / count - mean * mean) / count) : Infinity,
    }
  }
  const near = agreeing(1)
  const far = agreeing(Math.floor(boards.length / 2))
  const isLike =
    near.mean > WORTH_TELLING * far.mean && near.mean - far.mean > CERTAIN * Math.hypot(near.error, far.error)
  return isLike ? { near: near.mean, far: far.mean } : null
}
