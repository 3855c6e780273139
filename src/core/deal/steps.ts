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
  const most = Math.max(columns, Math.ceil(((open.at(-1) ?? 0) + 1) / columns))
  const may = Array.from({ length: most }, (_, steps) => steps > 0 && allowed(steps))
  const graph: number[][] = open.map(() => [])
  for (let i = 0; i < open.length; i++)
    for (let j = i + 1; j < open.length; j++)
      if (may[stepsBetween(open[i]!, open[j]!, columns)]) {
        graph[i]!.push(j)
        graph[j]!.push(i)
      }
  return graph
}
