import { draw } from './draw.ts'
import type { Mates } from './matching.ts'
import type { Stream } from './seed.ts'
import type { CellGraph } from '../board/steps.ts'

/** Worms for each vertex; enough to forget the start (tests compare with full enumeration). */
const WORMS = 2

/**
 * A random perfect matching, each equally likely, starting from any of them. In: a graph with a perfect matching. A
 * worm takes one pair apart, and from the freed end h moves on: a neighbour of h, drawn evenly, is paired with h, which
 * frees that neighbour's old mate; it ends when the neighbour is the other freed end. From h each neighbour is equally
 * likely, so weights ∝ neighbours are in detailed balance, and every perfect matching is left and entered alike.
 * Source: the directed-loop walk of A. W. Sandvik, R. Moessner, Phys. Rev. B 73, 144504 (2006), on any graph.
 */
export function randomMatching(graph: CellGraph, start: Mates, stream: Stream): Mates {
  const mates = start.slice()
  const size = graph.length
  for (let walks = WORMS * size; walks > 0; walks--) {
    const tail = draw(stream, size)
    let head = mates[tail]!
    for (;;) {
      const near = graph[head]!
      const next = near[draw(stream, near.length)]!
      if (next === tail) break
      const freed = mates[next]!
      mates[head] = next
      mates[next] = head
      head = freed
    }
    mates[head] = tail
    mates[tail] = head
  }
  return mates
}
