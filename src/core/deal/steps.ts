/** Steps from cell to cell as a king walks: the larger of the row and the column distance. In: cell indices. */
export function stepsBetween(one: number, other: number, columns: number): number {
  const rows = Math.abs(Math.floor(one / columns) - Math.floor(other / columns))
  const across = Math.abs((one % columns) - (other % columns))
  return rows > across ? rows : across
}

/** A graph on the cells that hold a card: for each of them, by its place among them, the places it is joined to, rising. */
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
  return open.map((cell, i) =>
    open.flatMap((other, j) => (j !== i && allowed(stepsBetween(cell, other, columns)) ? [j] : [])),
  )
}
