import { describe, expect, test } from '@jest/globals'
import { chiSquareTail } from '../audit/probability.ts'
import type { Own } from '../settings/levels.ts'
import { allDeals, dealKey } from '../testing/enumerate.ts'
import { pairsNamed, settingsWith } from '../testing/games.ts'
import { openCells } from '../board/cells.ts'
import { walkApart } from './chains.ts'
import { streamOf } from './seed.ts'
import { cellGraph } from '../board/steps.ts'

describe('walking among boards without room for a single swap', () => {
  test.each<[string, Own['board'], number, (i: number) => boolean]>([
    ['4 × 4, four identical pairs', { rows: 4, columns: 4 }, 4, () => false],
    ['2 × 4, four identical pairs', { rows: 2, columns: 4 }, 4, () => false],
    ['2 × 3, two related pairs', { rows: 2, columns: 3, gaps: ['B1', 'B2'] }, 1, () => true],
  ])('%s: all are reached, each as often', (_, board, count, related) => {
    const settings = settingsWith({ board, fill: { repeat: 'evenly' }, deal: { way: 'apart', steps: 2 } })
    const allowed = [...allDeals(pairsNamed(count, related), settings)]
    const start = allowed[0]!.split(',').map(Number)
    const graph = cellGraph(openCells(settings.board), settings.board.columns, (steps) => steps < 2)
    const counts = new Map(allowed.map((key) => [key, 0]))
    for (let i = 0; i < allowed.length * 20; i++) {
      const cards = [...start]
      walkApart(cards, graph, streamOf(`walk-${i}`, 'swaps'))
      counts.set(dealKey(cards), counts.get(dealKey(cards))! + 1)
    }
    // what is not allowed would have made another key
    expect(counts.size).toBe(allowed.length)
    let spread = 0
    for (const seen of counts.values()) spread += (seen - 20) ** 2 / 20
    expect(chiSquareTail(spread, allowed.length - 1)).toBeGreaterThan(1e-3)
  })
})
