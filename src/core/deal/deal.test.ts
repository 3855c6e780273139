import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cardsMatch, NO_CARD, pairOf, sideOf } from '../deck/card.ts'
import type { Own } from '../settings/levels.ts'
import { countBounds } from '../testing/chance.ts'
import { cellsOf, pairsNamed, settingsWith } from '../testing/games.ts'
import { cellIndex, cellName, openCells } from '../board/cells.ts'
import { prepareDeal } from './deal.ts'
import { draw } from './draw.ts'
import { streamOf } from './seed.ts'
import { sample } from './shuffle.ts'

const problemOf = (own: Own, count: number): string => {
  const dealer = prepareDeal(pairsNamed(count), settingsWith(own))
  return dealer.ok ? 'none' : dealer.problem.code
}

/** How often each pair is on the board, in deck order. */
const countsOf = (own: Own, count: number, seed = 's'): number[] => {
  const counts = new Array<number>(count).fill(0)
  for (const card of cellsOf(settingsWith(own), pairsNamed(count), seed))
    if (card !== NO_CARD) counts[pairOf(card)]!++
  return counts.map((cards) => cards / 2)
}

/** Pearson's statistic against equal counts. */
const chiSquare = (counts: number[]): number => {
  const mean = counts.reduce((a, b) => a + b, 0) / counts.length
  return counts.reduce((sum, count) => sum + (count - mean) ** 2 / mean, 0)
}

describe('cells', () => {
  test('have a letter for the column and a number for the row', () => {
    expect(cellName(0, 6)).toBe('A1')
    expect(cellName(14, 6)).toBe('C3')
    expect(cellIndex('C3', 6, 6)).toBe(14)
  })
  test.each(['G1', 'A7', 'a1', 'A0', 'A01', '', '1A'])('%j is no cell of 6 × 6', (name) => {
    expect(cellIndex(name, 6, 6)).toBe(-1)
  })
  test('names and indices go both ways on every board', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 20 }),
        fc.integer({ min: 1, max: 20 }),
        fc.nat(399),
        (rows, columns, n) => {
          const index = n % (rows * columns)
          expect(cellIndex(cellName(index, columns), rows, columns)).toBe(index)
        },
      ),
    )
  })
})

describe('draws', () => {
  test('every number is as likely as any other', () => {
    const stream = streamOf('dice', 'shuffling')
    const counts = new Array<number>(7).fill(0)
    for (let i = 0; i < 70_000; i++) counts[draw(stream, 7)]!++
    expect(chiSquare(counts)).toBeLessThan(22.46) // 6 degrees, p = 0.001
  })
  test('the uneven rest of 2³² is drawn again', () => {
    const answers = [0, 4294967295]
    // 0 × 3 falls into the rest that would favour 0; the next number decides
    expect(draw({ next: () => answers.shift()! }, 3)).toBe(2)
  })
  test('samples are subsets in order, each as likely', () => {
    const stream = streamOf('subsets', 'picking')
    const counts = new Map<string, number>()
    for (let i = 0; i < 20_000; i++) {
      const key = sample(5, 2, stream).join()
      counts.set(key, (counts.get(key) ?? 0) + 1)
    }
    expect(counts.size).toBe(10)
    expect(chiSquare([...counts.values()])).toBeLessThan(27.88) // 9 degrees, p = 0.001
  })
})

describe('filling', () => {
  const board = { rows: 2, columns: 4 }
  test('first takes the first of the selection', () => {
    expect(countsOf({ board, fill: { pick: 'first' } }, 6)).toEqual([1, 1, 1, 1, 0, 0])
    expect(countsOf({ board, fill: { pick: 'first', use: { from: 2, to: 5 } } }, 6)).toEqual([
      0, 1, 1, 1, 1, 0,
    ])
    expect(countsOf({ board, fill: { pick: 'first', use: { pairs: ['p5', 'p0', 'p2', 'p3'] } } }, 6)).toEqual(
      [1, 0, 1, 1, 0, 1],
    )
  })
  test('at random takes different pairs for different seeds, and each as often', () => {
    const counts = new Array<number>(6).fill(0)
    for (let i = 0; i < 3000; i++)
      countsOf({ board, fill: { pick: 'random' } }, 6, `s${i}`).forEach((n, pair) => (counts[pair]! += n))
    expect(counts.reduce((a, b) => a + b)).toBe(12_000)
    expect(chiSquare(counts)).toBeLessThan(20.52) // 5 degrees, p = 0.001; without replacement it is smaller still
  })
  test('evenly repeats no pair more than one time oftener than another', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 10 }),
        fc.integer({ min: 1, max: 10 }),
        fc.string(),
        (count, rows, seed) => {
          const counts = countsOf({ board: { rows, columns: 4 }, fill: { repeat: 'evenly' } }, count, seed)
          expect(counts.reduce((a, b) => a + b)).toBe(rows * 2)
          expect(Math.max(...counts) - Math.min(...counts)).toBeLessThanOrEqual(1)
        },
      ),
    )
  })
  test('at-random draws each pair on its own', () => {
    const seen = new Set<string>()
    for (let i = 0; i < 200; i++)
      seen.add(countsOf({ board, fill: { repeat: 'at-random' } }, 2, `s${i}`).join())
    expect([...seen].sort()).toEqual(['0,4', '1,3', '2,2', '3,1', '4,0'])
  })
  test('with-replacement draws each pair from all, also where there are enough', () => {
    // two pairs from three: each of the nine draws as often as any other, so one board in three has four of a kind
    const own: Own = { board: { rows: 2, columns: 2 }, fill: { repeat: 'with-replacement', pick: 'first' } }
    const games = 3000
    const counts = new Map<string, number>()
    for (let i = 0; i < games; i++) {
      const key = countsOf(own, 3, `s${i}`).join()
      counts.set(key, (counts.get(key) ?? 0) + 1)
    }
    const expected = { '2,0,0': 1, '0,2,0': 1, '0,0,2': 1, '1,1,0': 2, '1,0,1': 2, '0,1,1': 2 }
    expect([...counts.keys()].sort()).toEqual(Object.keys(expected).sort())
    for (const [key, ways] of Object.entries(expected)) {
      const [fewest, most] = countBounds(games, ways / 9)
      expect(counts.get(key)).toBeGreaterThanOrEqual(fewest)
      expect(counts.get(key)).toBeLessThanOrEqual(most)
    }
  })
})

describe('dealing', () => {
  test('every deal is whole: twins come in twos, gaps stay empty, a seed gives the same deal again', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 20 }),
        fc.integer({ min: 1, max: 20 }),
        fc.nat(),
        fc.string({ minLength: 1 }),
        (rows, columns, mask, seed) => {
          const gaps = rows * columns > 8 ? [cellName(mask % (rows * columns), columns)] : []
          if ((rows * columns - gaps.length) % 2) gaps.push(cellName((mask + 1) % (rows * columns), columns))
          if (new Set(gaps).size < gaps.length || rows * columns - gaps.length < 2) return
          const settings = settingsWith({ board: { rows, columns, gaps } })
          const pairs = pairsNamed(200, (i) => i % 2 === 0)
          const cells = cellsOf(settings, pairs, seed)
          expect(cells).toEqual(cellsOf(settings, pairs, seed))
          const open = openCells(settings.board)
          cells.forEach((card, cell) => expect(card !== NO_CARD).toBe(open.includes(cell)))
          for (const cell of open) {
            const twins = open.filter((other) => other !== cell && cardsMatch(cells[cell]!, cells[other]!))
            expect(twins).toHaveLength(1)
          }
        },
      ),
      { numRuns: 60 },
    )
  })

  test('in order lays twins side by side, row by row', () => {
    const cells = cellsOf(
      settingsWith({ board: { rows: 2, columns: 3 }, deal: { way: 'in-order' } }),
      pairsNamed(3, (i) => i === 1),
    )
    expect(cells.map((card) => `${pairOf(card)}${sideOf(card)}`)).toEqual([
      '0a',
      '0a',
      '1a',
      '1b',
      '2a',
      '2a',
    ])
  })

  test('every arrangement of two pairs is as likely as any other', () => {
    const dealer = prepareDeal(pairsNamed(2), settingsWith({ board: { rows: 2, columns: 2 } }))
    if (!dealer.ok) throw new Error('cannot deal')
    const counts = new Map<string, number>()
    for (let i = 0; i < 12_000; i++) {
      const key = dealer.value.deal(`s${i}`).map(pairOf).join('')
      counts.set(key, (counts.get(key) ?? 0) + 1)
    }
    expect(counts.size).toBe(6)
    expect(chiSquare([...counts.values()])).toBeLessThan(20.52) // 5 degrees, p = 0.001
  })

  test('twins lie side by side as often as theory says: 60 / 630 on 6 × 6', () => {
    const dealer = prepareDeal(pairsNamed(18), settingsWith({ board: { rows: 6, columns: 6 } }))
    if (!dealer.ok) throw new Error('cannot deal')
    let beside = 0
    const deals = 4000
    for (let i = 0; i < deals; i++) {
      const cells = dealer.value.deal(`s${i}`).map(pairOf)
      cells.forEach((pair, cell) => {
        if (cell % 6 < 5 && cells[cell + 1] === pair) beside++
        if (cell < 30 && cells[cell + 6] === pair) beside++
      })
    }
    const expected = 18 * (60 / 630)
    const standardError = Math.sqrt((18 * (60 / 630) * (570 / 630)) / deals)
    expect(Math.abs(beside / deals - expected)).toBeLessThan(4 * standardError)
  })

  test.each<[string, Own, number]>([
    ['odd-board', { board: { rows: 3, columns: 3 } }, 9],
    ['odd-board', { board: { rows: 4, columns: 4, gaps: ['B2'] } }, 9],
    ['too-few-cards', { board: { rows: 1, columns: 2, gaps: ['A1', 'B1'] } }, 9],
    ['too-few-pairs', { board: { rows: 4, columns: 4 } }, 7],
    ['no-pairs', { board: { rows: 4, columns: 4 }, fill: { use: { tags: ['none'] }, repeat: 'evenly' } }, 9],
    [
      'no-pairs',
      { board: { rows: 4, columns: 4 }, fill: { use: { from: 12, to: 13 }, repeat: 'evenly' } },
      9,
    ],
    ['steps-unreachable', { deal: { way: 'apart', steps: 9 } }, 9],
    ['none', { board: { rows: 3, columns: 3, gaps: ['B2'] } }, 4],
  ])('%s is told', (code, own, count) => {
    expect(problemOf(own, count)).toBe(code)
  })
})

describe('boards laid by hand', () => {
  const laid = (arranged: (string | null)[], gaps: string[] = []): string => {
    const pairs = pairsNamed(2, (i) => i === 1)
    const dealer = prepareDeal(
      pairs,
      settingsWith({ board: { rows: 2, columns: 2, gaps }, deal: { way: 'arranged', arranged } }),
    )
    if (!dealer.ok) return `${dealer.problem.at}: ${dealer.problem.message}`
    return dealer.value
      .deal('any')
      .map((card) => (card === NO_CARD ? '-' : `${pairOf(card)}${sideOf(card)}`))
      .join(' ')
  }
  test('are dealt as they are', () => {
    expect(laid(['p0/a', 'p1/b', 'p1/a', 'p0/a'])).toBe('0a 1b 1a 0a')
    expect(laid(['p1/a', null, null, 'p1/b'], ['B1', 'A2'])).toBe('1a - - 1b')
  })
  test.each([
    [['p0/a', 'p1/b', 'p1/a'], 'deal.arranged: names 3 cells; the board has 4'],
    [['p0/a', null, 'p1/a', 'p0/a'], 'deal.arranged[1]: B1 needs a card'],
    [['p0/a', 'p9/a', 'p1/a', 'p0/a'], 'deal.arranged[1]: no card "p9/a" in the deck'],
    [
      ['p0/a', 'p0/b', 'p1/a', 'p1/b'],
      'deal.arranged[1]: "p0/b": this pair is identical, its side is always a',
    ],
    [['p0/a', 'p0/a', 'p1/a', 'p1/a'], 'deal.arranged: a card of "p1" has no twin'],
  ])('%j is refused', (arranged, message) => {
    expect(laid(arranged as string[])).toBe(message)
  })
})
