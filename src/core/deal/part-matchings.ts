import type { CellGraph } from '../board/steps.ts'

/** More states than this at one vertex are given up: it would take seconds. */
const MOST_STATES = 6000

/**
 * How many ways there are to choose k edges of a graph, no two of which meet, for k = 0, 1, … . Null if the graph is
 * too tangled to count quickly. Vertex by vertex; a state is the set of later vertices already used, so the work grows
 * with how far apart joined vertices are in the numbering.
 */
export function partMatchings(graph: CellGraph): bigint[] | null {
  const widest = Math.max(0, ...graph.map((near, v) => (near.at(-1) ?? v) - v))
  if (widest > 30) return null
  // bit i of a state: vertex v + i is used
  let states = new Map<number, bigint[]>([[0, [1n]]])
  const add = (to: Map<number, bigint[]>, state: number, counts: readonly bigint[], shift: number): void => {
    const sum = to.get(state) ?? []
    counts.forEach((count, k) => (sum[k + shift] = (sum[k + shift] ?? 0n) + count))
    if (shift && sum[0] === undefined) sum[0] = 0n
    to.set(state, sum)
  }
  for (let v = 0; v < graph.length; v++) {
    const next = new Map<number, bigint[]>()
    for (const [state, counts] of states) {
      add(next, state >>> 1, counts, 0)
      if (state & 1) continue
      for (const u of graph[v]!) {
        const bit = 2 ** (u - v)
        if (u > v && !(state & bit)) add(next, (state | bit) >>> 1, counts, 1)
      }
    }
    if (next.size > MOST_STATES) return null
    states = next
  }
  return states.get(0) ?? [1n]
}
