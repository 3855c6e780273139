import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cellAt, layout, type Surface } from './geometry.ts'

const surfaces = fc.record({
  width: fc.integer({ min: 320, max: 2000 }),
  height: fc.integer({ min: 320, max: 1400 }),
  margin: fc.integer({ min: 0, max: 24 }),
  gap: fc.integer({ min: 0, max: 6 }),
  ratio: fc.constantFrom(0.7, 0.84, 1, 1.25),
})
const side = fc.integer({ min: 1, max: 20 })

const fits = (surface: Surface, width: number, rows: number, columns: number): boolean =>
  columns * width + (columns - 1) * surface.gap <= surface.width - 2 * surface.margin &&
  rows * Math.round(width / surface.ratio) + (rows - 1) * surface.gap <= surface.height - 2 * surface.margin

describe('layout', () => {
  test('cards fit, and a card one px wider would not', () => {
    fc.assert(
      fc.property(surfaces, side, side, (surface, rows, columns) => {
        const { card } = layout(surface, rows, columns)
        expect(fits(surface, card.width, rows, columns)).toBe(true)
        expect(fits(surface, card.width + 1, rows, columns)).toBe(false)
        expect(card.height).toBe(Math.round(card.width / surface.ratio))
      }),
    )
  })

  test('the grid stands in the middle, to the px', () => {
    fc.assert(
      fc.property(surfaces, side, side, (surface, rows, columns) => {
        const { grid, places } = layout(surface, rows, columns)
        const last = places.at(-1)!
        expect(Math.abs(grid.x - (surface.width - last.x - last.width))).toBeLessThanOrEqual(1)
        expect(Math.abs(grid.y - (surface.height - last.y - last.height))).toBeLessThanOrEqual(1)
      }),
    )
  })

  test('a press counts exactly within the rectangle of its card', () => {
    fc.assert(
      fc.property(surfaces, side, side, fc.nat(399), (surface, rows, columns, n) => {
        const board = layout(surface, rows, columns)
        const cell = n % (rows * columns)
        const { x, y, width, height } = board.places[cell]!
        expect(cellAt(board, x, y)).toBe(cell)
        expect(cellAt(board, x + width - 0.01, y + height - 0.01)).toBe(cell)
        if (surface.gap > 0) {
          expect(cellAt(board, x - 0.01, y)).not.toBe(cell)
          expect(cellAt(board, x + width, y)).toBe(-1)
          expect(cellAt(board, x, y + height)).toBe(-1)
        }
      }),
    )
  })
})
