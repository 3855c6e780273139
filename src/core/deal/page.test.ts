import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { readFileSync } from 'node:fs'
import { NO_CARD } from '../deck/card.ts'
import { cellsOf, pairsNamed, settingsWith } from '../testing/games.ts'
import {
  leastMatching,
  pageDeal,
  pageHash,
  pageNumbers,
  type PageLevel,
  type PagePurpose,
} from '../testing/rebuilt.ts'
import { cellIndex, cellName } from '../board/cells.ts'
import { prepareDeal } from './deal.ts'
import { murmur128 } from './murmur.ts'
import { PURPOSES, streamOf } from './seed.ts'
import { stepRule } from './step-rule.ts'

/** docs/shuffle.md, as somebody reads it who has nothing else. */
const page = readFileSync('docs/shuffle.md', 'utf8')
/** The rows of the table whose first head this is, cell by cell, without code marks. */
function tableOf(head: string): string[][] {
  const lines = page.split('\n')
  const at = lines.findIndex((line) => line.startsWith(`| ${head} `))
  const rows: string[][] = []
  for (let i = at + 2; lines[i]?.startsWith('|'); i++)
    rows.push(
      lines[i]!.split('|')
        .slice(1, -1)
        .map((cell) => cell.replaceAll('`', '').trim()),
    )
  return rows
}

describe('the tables of docs/shuffle.md', () => {
  test('name every purpose and its number', () => {
    expect(Object.fromEntries(tableOf('purpose').map(([name, number]) => [name, Number(number)]))).toEqual(
      PURPOSES,
    )
  })
  test.each(tableOf('seed'))('the hash of %s for %s', (seed, purpose, hash, numbers) => {
    const words = hash.split(' ').map((word) => parseInt(word, 16))
    const points = Array.from(seed.normalize('NFC'), (letter) => letter.codePointAt(0)!)
    expect(murmur128(points, PURPOSES[purpose as PagePurpose]).map((word) => word >>> 0)).toEqual(words)
    expect(pageHash(seed, purpose as PagePurpose)).toEqual(words)
    const [ours, theirs] = [streamOf(seed, purpose as PagePurpose), pageNumbers(seed, purpose as PagePurpose)]
    for (const number of numbers.split(', ').filter(Boolean)) {
      expect(ours.next() >>> 0).toBe(Number(number))
      expect(theirs()).toBe(Number(number))
    }
  })
  test.each(tableOf('pairs'))('%s pairs on %s, %s, %s, seed %s', (pairs, board, fill, way, seed, cells) => {
    const count = parseInt(pairs)
    const related = pairs.endsWith('r')
    const [size, gaps = ''] = board.split(', ')
    const [rows, columns] = size!.split(' × ').map(Number) as [number, number]
    const [pick, repeat] = fill.split(' ') as ['first', 'never']
    const [name, steps = '2'] = way.split(' ') as ['apart', string?]
    const settings = settingsWith({
      board: { rows, columns, gaps: gaps.split(' ').filter(Boolean) },
      fill: { pick, repeat },
      deal: { way: name, steps: Number(steps) },
    })
    const dealt = cellsOf(
      settings,
      pairsNamed(count, () => related),
      seed,
    )
    const written = dealt.map((card) =>
      card === NO_CARD ? '.' : `${card >> 2}${related ? (card & 1 ? 'b' : 'a') : ''}`,
    )
    expect(written.join(' ')).toBe(cells)
    const level: PageLevel = {
      related: Array<boolean>(count).fill(related),
      rows,
      columns,
      gaps: settings.board.gaps.map((gap) => cellIndex(gap, rows, columns)),
      fill: settings.fill as PageLevel['fill'],
      way: name,
      steps: Number(steps),
    }
    expect(pageDeal(level, seed).join(' ')).toBe(cells)
  })
  test('the least matching', () => {
    const told = /least perfect matching of 2 × 4 apart 2 is, place by place, `([\d ]+)`/.exec(page)![1]!
    expect(stepRule({ rows: 2, columns: 4, gaps: [] }, 'apart', 2)!.start.join(' ')).toBe(told)
  })
})

test('whoever rebuilds dealing from the page alone deals the same boards', () => {
  let dealt = 0
  fc.assert(
    fc.property(
      fc.record({
        rows: fc.integer({ min: 1, max: 4 }),
        columns: fc.integer({ min: 2, max: 6 }),
        holes: fc.uniqueArray(fc.nat(23), { maxLength: 3 }),
        related: fc.array(fc.boolean(), { minLength: 1, maxLength: 8 }),
        pick: fc.constantFrom('first' as const, 'random' as const),
        repeat: fc.constantFrom('evenly' as const, 'at-random' as const, 'with-replacement' as const),
        way: fc.constantFrom(
          'shuffled' as const,
          'in-order' as const,
          'apart' as const,
          'apart' as const,
          'close' as const,
        ),
        steps: fc.integer({ min: 1, max: 3 }),
        seed: fc.string({ minLength: 1, maxLength: 20, unit: 'grapheme' }),
      }),
      ({ rows, columns, holes, related, pick, repeat, way, steps, seed }) => {
        const gaps = holes.filter((cell) => cell < rows * columns)
        fc.pre((rows * columns - gaps.length) % 2 === 0 && rows * columns > gaps.length)
        const settings = settingsWith({
          board: { rows, columns, gaps: gaps.map((cell) => cellName(cell, columns)) },
          fill: { pick, repeat },
          deal: { way, steps },
        })
        const pairs = pairsNamed(related.length, (i) => related[i]!)
        const dealer = prepareDeal(pairs, settings)
        fc.pre(dealer.ok && Array.from(seed.normalize('NFC')).length <= 64)
        if (!dealer.ok) return
        const ours = dealer.value
          .deal(seed)
          .map((card) => (card === NO_CARD ? '.' : `${card >> 2}${card & 2 ? (card & 1 ? 'b' : 'a') : ''}`))
        expect(pageDeal({ related, rows, columns, gaps, fill: { pick, repeat }, way, steps }, seed)).toEqual(
          ours,
        )
        dealt++
      },
    ),
    { numRuns: 150 },
  )
  expect(dealt).toBeGreaterThan(100)
})

test('the matching that the page asks for is there where ours is', () => {
  expect(leastMatching([[1], [0, 2], [1]])).toBeNull()
})
