import { openCells } from '../../../core/board/cells.ts'

/** Boards of the same shape have the same path. */
const cache = new Map<string, string>()
const KEPT = 300

/**
 * The cards of a board as one SVG path: squares with round corners, `side` px a card and `step` px from one to the
 * next.
 */
export function boardPath(
  board: { rows: number; columns: number; gaps: readonly string[] },
  side: number,
  step: number,
): string {
  const key = `${board.rows} ${board.columns} ${board.gaps.join()} ${side} ${step}`
  const cached = cache.get(key)
  if (cached !== undefined) return cached
  const tenths = (px: number): number => Math.round(px * 100) / 100
  const round = tenths(side * 0.22)
  const edge = tenths(side - 2 * round)
  const corner = (x: number, y: number): string => `a${round} ${round} 0 0 1 ${x * round} ${y * round}`
  // each card the same shape, started elsewhere
  const shape = `h${edge}${corner(1, 1)}v${edge}${corner(-1, 1)}h${-edge}${corner(-1, -1)}v${-edge}${corner(1, -1)}z`
  let path = ''
  for (const at of openCells(board))
    path += `M${tenths((at % board.columns) * step + round)} ${tenths(Math.floor(at / board.columns) * step)}${shape}`
  if (cache.size >= KEPT) cache.delete(cache.keys().next().value!)
  cache.set(key, path)
  return path
}
