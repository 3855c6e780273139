import type { CellGraph } from '../board/steps.ts'

/** For each vertex its partner, −1 if it has none. */
export type Mates = number[]
const ALONE = -1

/**
 * Finds a path that pairs one more vertex, starting at `root`, and flips it. Out: whether there is one.
 * Vertices in `closed` are not entered. Source: J. Edmonds, "Paths, Trees, and Flowers", Canadian J. Math. 17 (1965),
 * with blossoms shrunk by their base; O(V³) for a whole matching.
 */
function augment(graph: CellGraph, mates: Mates, root: number, closed: readonly boolean[]): boolean {
  const size = graph.length
  const from = new Array<number>(size).fill(ALONE)
  const base = graph.map((_, v) => v)
  const outer = new Array<boolean>(size).fill(false)
  outer[root] = true
  const queue = [root]

  const commonBase = (one: number, other: number): number => {
    const passed = new Set<number>()
    for (let v = base[one]!; ; v = base[from[mates[v]!]!]!) {
      passed.add(v)
      if (mates[v] === ALONE) break
    }
    let v = base[other]!
    while (!passed.has(v)) v = base[from[mates[v]!]!]!
    return v
  }
  const markBlossom = (start: number, top: number, child: number, within: Set<number>): void => {
    for (let v = start, below = child; base[v] !== top; v = from[mates[v]!]!) {
      within.add(base[v]!).add(base[mates[v]!]!)
      from[v] = below
      below = mates[v]!
    }
  }

  for (let at = 0; at < queue.length; at++) {
    const v = queue[at]!
    for (const to of graph[v]!) {
      if (closed[to] || base[v] === base[to] || mates[v] === to) continue
      if (to === root || (mates[to] !== ALONE && from[mates[to]!] !== ALONE)) {
        const top = commonBase(v, to)
        const within = new Set<number>()
        markBlossom(v, top, to, within)
        markBlossom(to, top, v, within)
        for (let u = 0; u < size; u++)
          if (within.has(base[u]!)) {
            base[u] = top
            if (!outer[u]) {
              outer[u] = true
              queue.push(u)
            }
          }
      } else if (from[to] === ALONE) {
        from[to] = v
        if (mates[to] === ALONE) {
          turnOver(mates, from, to)
          return true
        }
        outer[mates[to]!] = true
        queue.push(mates[to]!)
      }
    }
  }
  return false
}

/** Pairs the vertices anew along the path recorded in `from`, from its end. */
function turnOver(mates: Mates, from: readonly number[], end: number): void {
  for (let v = end; v !== ALONE;) {
    const before = from[v]!
    const next = mates[before]!
    mates[v] = before
    mates[before] = v
    v = next
  }
}

/** Whether every vertex of the graph can be paired with a neighbour of its own; if so, one way to do it. */
export function perfectMatching(graph: CellGraph): Mates | null {
  const mates: Mates = new Array<number>(graph.length).fill(ALONE)
  const closed = new Array<boolean>(graph.length).fill(false)
  graph.forEach((near, v) => {
    const free = mates[v] === ALONE ? near.find((u) => mates[u] === ALONE) : undefined
    if (free === undefined) return
    mates[v] = free
    mates[free] = v
  })
  for (let v = 0; v < graph.length; v++)
    if (mates[v] === ALONE && !augment(graph, mates, v, closed)) return null
  return mates
}

/**
 * The least perfect matching: the first vertex is paired with the first neighbour that leaves the rest
 * pairable, and so on. It depends on the graph alone, not on the search. Null if there is none.
 */
export function leastPerfectMatching(graph: CellGraph): Mates | null {
  const mates = perfectMatching(graph)
  if (!mates) return null
  const closed = new Array<boolean>(graph.length).fill(false)
  for (let v = 0; v < graph.length; v++) {
    if (closed[v]) continue
    closed[v] = true
    for (const u of graph[v]!) {
      if (closed[u]) continue
      closed[u] = true
      if (mates[v] === u || repair(graph, mates, v, u, closed)) break
      closed[u] = false
    }
  }
  return mates
}

/** Pairs v with u, and their former partners with each other; undone if that is impossible. */
function repair(graph: CellGraph, mates: Mates, v: number, u: number, closed: readonly boolean[]): boolean {
  const one = mates[v]!
  const other = mates[u]!
  mates[v] = u
  mates[u] = v
  mates[one] = mates[other] = ALONE
  if (joinShortly(graph, mates, one, other, closed) || augment(graph, mates, one, closed)) return true
  mates[v] = one
  mates[one] = v
  mates[u] = other
  mates[other] = u
  return false
}

/**
 * Pairs two single vertices with each other or through one other pair; with many edges this serves most. Out: whether
 * it worked.
 */
function joinShortly(
  graph: CellGraph,
  mates: Mates,
  one: number,
  other: number,
  closed: readonly boolean[],
): boolean {
  const near = new Uint8Array(graph.length)
  for (const to of graph[other]!) near[to] = 1
  const pair = (a: number, b: number): void => {
    mates[a] = b
    mates[b] = a
  }
  if (near[one]) {
    pair(one, other)
    return true
  }
  for (const to of graph[one]!) {
    const beyond = mates[to]!
    if (closed[to] || beyond === ALONE || !near[beyond]) continue
    pair(one, to)
    pair(beyond, other)
    return true
  }
  return false
}
