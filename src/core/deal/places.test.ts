import { describe, expect, test } from '@jest/globals'
import Papa from 'papaparse'
import { placements } from '../files/placement-file.ts'
import { rowsCsv, rowsJson } from '../files/rows.ts'
import { cellsOf, pairsNamed, settingsWith } from '../testing/games.ts'
import { cellIndex, openCells } from '../board/cells.ts'
import { FRAME_NAMES, FRAMES, layoutIn, nearestTouchable, touchSize } from '../board/frames.ts'
import { TOUCHABLE } from '../board/geometry.ts'
import { OUTLINES, outlineGaps } from '../board/outlines.ts'

describe('outlines', () => {
  const drawn = (outline: (typeof OUTLINES)[number], rows: number, columns: number): string[] => {
    const open = new Set(openCells({ rows, columns, gaps: outlineGaps(outline, rows, columns) }))
    return Array.from({ length: rows }, (_, row) =>
      Array.from({ length: columns }, (_, column) => (open.has(row * columns + column) ? '#' : '.')).join(''),
    )
  }
  test.each([
    ['ring' as const, 4, 5, ['#####', '#...#', '#...#', '#####']],
    ['diamond' as const, 5, 5, ['..#..', '.###.', '##.##', '.###.', '..#..']],
    ['stair' as const, 4, 4, ['#...', '##..', '###.', '####']],
    ['islands' as const, 2, 7, ['###.###', '###.###']],
    ['islands' as const, 6, 4, ['####', '####', '....', '....', '####', '####']],
    ['full' as const, 3, 3, ['###', '#.#', '###']],
  ])('%s on %i × %i', (outline, rows, columns, picture) => {
    expect(drawn(outline, rows, columns)).toEqual(picture)
  })
  test('every one leaves an even number of cards on every board, and at least two', () => {
    for (const outline of OUTLINES)
      for (let rows = 1; rows <= 20; rows++)
        for (let columns = 1; columns <= 20; columns++) {
          const gaps = outlineGaps(outline, rows, columns)
          const left = openCells({ rows, columns, gaps }).length
          expect(left % 2).toBe(0)
          if (rows * columns > 1) expect(left).toBeGreaterThan(1)
          expect(gaps.every((name) => cellIndex(name, rows, columns) >= 0)).toBe(true)
          expect(new Set(gaps).size).toBe(gaps.length)
        }
  })
})

describe('frames', () => {
  const shown = (rows: number, columns: number) => settingsWith({ board: { rows, columns } })
  test('a board fits every one of them, safe margins kept', () => {
    for (const name of FRAME_NAMES)
      for (const safe of [0, 20]) {
        const { grid, width, height } = layoutIn({ ...FRAMES[name], safe }, shown(6, 6))
        expect(width).toBeLessThanOrEqual(FRAMES[name].width - 2 * safe)
        expect(grid.x + grid.width).toBeLessThanOrEqual(width)
        expect(grid.x).toBeGreaterThanOrEqual(0)
        expect(grid.y + grid.height).toBeLessThanOrEqual(height)
      }
  })
  test('6 × 6 can be touched on a phone, 8 × 8 cannot', () => {
    const phone = { ...FRAMES.phone, safe: 0 }
    expect(touchSize(phone, shown(6, 6))).toBeGreaterThanOrEqual(TOUCHABLE)
    expect(touchSize(phone, shown(8, 8))).toBeLessThan(TOUCHABLE)
  })
  test('the nearest board that can be touched is even, no larger, and its cards are large enough', () => {
    const phone = { ...FRAMES.phone, safe: 0 }
    const near = nearestTouchable([phone], shown(8, 8))!
    expect(near.rows * near.columns).toBeLessThanOrEqual(64)
    expect((near.rows * near.columns) % 2).toBe(0)
    expect(touchSize(phone, shown(near.rows, near.columns))).toBeGreaterThanOrEqual(TOUCHABLE)
    // no board of more cards would do
    for (let rows = 1; rows <= 20; rows++)
      for (let columns = 1; columns <= 20; columns++)
        if ((rows * columns) % 2 === 0 && rows * columns <= 64 && rows * columns > near.rows * near.columns)
          expect(touchSize(phone, shown(rows, columns))).toBeLessThan(TOUCHABLE)
    expect(nearestTouchable([{ width: 40, height: 200, safe: 0 }], shown(2, 2))).toBeNull()
  })
})

describe('the placement table', () => {
  const settings = settingsWith({ board: { rows: 2, columns: 3, gaps: ['B1', 'C2'] } })
  const pairs = pairsNamed(2, (i) => i === 1)
  const board = layoutIn({ ...FRAMES.phone, safe: 0 }, settings)
  const rows = placements(board, 3, cellsOf(settings, pairs), pairs)
  test('has a row for every card, where the geometry puts it', () => {
    expect(rows.map(({ cell }) => cell)).toEqual(['A1', 'C1', 'A2', 'B2'])
    expect(rows[2]).toMatchObject(board.places[3]!)
    expect(rows.map(({ pair, face }) => `${pair}/${face}`).sort()).toEqual(['p0/a', 'p0/a', 'p1/a', 'p1/b'])
  })
  test('reads back the same from CSV and JSON', () => {
    const csv = rowsCsv(rows)
    expect(csv.split('\r\n')[0]).toBe('cell,x,y,width,height,pair,face')
    const parsed = Papa.parse(csv.trim(), { header: true, dynamicTyping: true })
    expect(parsed.data).toEqual(rows)
    expect(JSON.parse(rowsJson(rows))).toEqual(rows)
  })
})
