import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { CellGraph } from '../board/steps.ts'
import { everyMatching } from '../testing/enumerate.ts'
import { leastPerfectMatching, perfectMatching } from './matching.ts'
import { partMatchings } from './part-matchings.ts'

const graphs: fc.Arbitrary<CellGraph> = fc
  .integer({ min: 1, max: 9 })
  .chain((size) =>
    fc
      .array(fc.boolean(), { minLength: size * size, maxLength: size * size })
      .map((bits) =>
        Array.from({ length: size }, (_, v) =>
          Array.from({ length: size }, (_, u) => u).filter(
            (u) => u !== v && bits[Math.min(u, v) * size + Math.max(u, v)],
          ),
        ),
      ),
  )
describe('matchings of any small graph', () => {
  test('one is found where there is one, and the least is the first of all', () => {
    fc.assert(
      fc.property(graphs, (graph) => {
        const every = everyMatching(graph)
        expect(perfectMatching(graph) !== null).toBe(every.length > 0)
        expect(leastPerfectMatching(graph)).toEqual(every[0] ?? null)
      }),
      { numRuns: 500 },
    )
  })
  test('matchings of some of the vertices are counted', () => {
    fc.assert(
      fc.property(graphs, (graph) => {
        const edges = graph.flatMap((near, v) => near.filter((u) => u > v).map((u) => [v, u] as const))
        const counts: number[] = []
        const go = (from: number, used: number, k: number): void => {
          counts[k] = (counts[k] ?? 0) + 1
          for (let e = from; e < edges.length; e++) {
            const bits = (1 << edges[e]![0]) | (1 << edges[e]![1])
            if (!(used & bits)) go(e + 1, used | bits, k + 1)
          }
        }
        go(0, 0, 0)
        expect(partMatchings(graph)!.map(Number)).toEqual(counts)
      }),
    )
  })
})
