/** Steps between cells in any of eight directions: the larger of the row and the column distance. In: cell indices. */
export function stepsBetween(one: number, other: number, columns: number): number {
  const rows = Math.abs(Math.floor(one / columns) - Math.floor(other / columns))
  const across = Math.abs((one % columns) - (other % columns))
  return rows > across ? rows : across
}

/**
 * A graph on the cells that hold a card: for each of them, by its place among them, the places it is joined to, rising.
 */
export type CellGraph = readonly (readonly number[])[]

/**
 * Which of the `open` cells may hold matching cards under a rule of steps.
 * In: `allowed`, which says it of a number of steps from 1 to 19.
 */
export function cellGraph(
  open: readonly number[],
  columns: number,
  allowed: (steps: number) => boolean,
): CellGraph {
  const size = open.length
  const rows = Int32Array.from(open, (cell) => Math.floor(cell / columns))
  const across = Int32Array.from(open, (cell) => cell % columns)
  const most = Math.max(columns, (rows[size - 1] ?? 0) + 1)
  const may = Uint8Array.from({ length: most }, (_, steps) => (steps > 0 && allowed(steps) ? 1 : 0))
  const graph: number[][] = []
  for (let i = 0; i < size; i++) {
    const near: number[] = []
    const row = rows[i]!
    const column = across[i]!
    for (let j = 0; j < size; j++) {
      let down = rows[j]! - row
      let right = across[j]! - column
      if (down < 0) down = -down
      if (right < 0) right = -right
      if (may[down > right ? down : right]) near.push(j)
    }
    graph.push(near)
  }
  return graph
}
