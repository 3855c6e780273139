import { BOUNDS } from '../settings/bounds.ts'
import { openCells, type Board } from '../board/cells.ts'
import { leastPerfectMatching, perfectMatching, type Mates } from './matching.ts'
import { cellGraph, type CellGraph } from '../board/steps.ts'

export type StepWay = 'apart' | 'close'
/** A rule of steps on one board: which cells twins may take, and the first way to pair all of them. */
export type StepRule = { graph: CellGraph; start: Mates }

const MOST_STEPS = BOUNDS.steps[1]
const KEPT = 64
/** What boards were found to hold; asked for at every key press, and slow on large ones. */
const cache = new Map<string, unknown>()

/** The answer of `find`, cached. */
export function once<T>(key: string, find: () => T): T {
  if (cache.has(key)) return cache.get(key) as T
  const rule = find()
  if (cache.size >= KEPT) cache.delete(cache.keys().next().value!)
  cache.set(key, rule)
  return rule
}
export const keyOf = ({ rows, columns, gaps }: Board, ...rest: (string | number)[]): string =>
  [rows, columns, [...gaps].sort().join(), ...rest].join(' ')

const graphOf = (board: Board, way: StepWay, steps: number): CellGraph =>
  cellGraph(openCells(board), board.columns, (s) => (way === 'apart' ? s >= steps : s <= steps))

/** The rule on this board, or null if its cells cannot be paired that way. In: an even board, steps 1 to 19. */
export const stepRule = (board: Board, way: StepWay, steps: number): StepRule | null =>
  once(keyOf(board, way, steps), () => {
    const graph = graphOf(board, way, steps)
    const start = leastPerfectMatching(graph)
    return start && { graph, start }
  })

/**
 * The largest `apart`, or the smallest `close`, that a board can hold if no pair lies on it twice. In: an even board.
 */
export const stepLimit = (board: Board, way: StepWay): number =>
  once(keyOf(board, 'limit', way), () => {
    const holds = (steps: number): boolean => perfectMatching(graphOf(board, way, steps)) !== null
    // both only get harder in one direction, so a binary search finds them
    let [can, cannot] = way === 'apart' ? [1, MOST_STEPS + 1] : [MOST_STEPS, 0]
    while (Math.abs(cannot - can) > 1) {
      const middle = (can + cannot) >> 1
      if (holds(middle)) can = middle
      else cannot = middle
    }
    return can
  })

/** Both limits of a board. */
export const stepLimits = (board: Board): Record<StepWay, number> => ({
  apart: stepLimit(board, 'apart'),
  close: stepLimit(board, 'close'),
})
