import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cellAt, layout, type Stage } from './geometry.ts'

const stages = fc.record({
  width: fc.integer({ min: 320, max: 2000 }),
  height: fc.integer({ min: 320, max: 1400 }),
  margin: fc.integer({ min: 0, max: 24 }),
  gap: fc.integer({ min: 0, max: 6 }),
  ratio: fc.constantFrom(0.7, 0.84, 1, 1.25),
})
const side = fc.integer({ min: 1, max: 20 })

const fits = (stage: Stage, width: number, rows: number, columns: number): boolean =>
  columns * width + (columns - 1) * stage.gap <= stage.width - 2 * stage.margin &&
  rows * Math.round(width / stage.ratio) + (rows - 1) * stage.gap <= stage.height - 2 * stage.margin

describe('layout', () => {
  test('cards fit, and a card one px wider would not', () => {
    fc.assert(
      fc.property(stages, side, side, (stage, rows, columns) => {
        const { card } = layout(stage, rows, columns)
        expect(fits(stage, card.width, rows, columns)).toBe(true)
        expect(fits(stage, card.width + 1, rows, columns)).toBe(false)
        expect(card.height).toBe(Math.round(card.width / stage.ratio))
      }),
    )
  })

  test('the grid stands in the middle, to the px', () => {
    fc.assert(
      fc.property(stages, side, side, (stage, rows, columns) => {
        const { grid, places } = layout(stage, rows, columns)
        const last = places.at(-1)!
        expect(Math.abs(grid.x - (stage.width - last.x - last.width))).toBeLessThanOrEqual(1)
        expect(Math.abs(grid.y - (stage.height - last.y - last.height))).toBeLessThanOrEqual(1)
      }),
    )
  })

  test('a press counts exactly within the rectangle of its card', () => {
    fc.assert(
      fc.property(stages, side, side, fc.nat(399), (stage, rows, columns, n) => {
        const board = layout(stage, rows, columns)
        const cell = n % (rows * columns)
        const { x, y, width, height } = board.places[cell]!
        expect(cellAt(board, x, y)).toBe(cell)
        expect(cellAt(board, x + width - 0.01, y + height - 0.01)).toBe(cell)
        if (stage.gap > 0) {
          expect(cellAt(board, x - 0.01, y)).not.toBe(cell)
          expect(cellAt(board, x + width, y)).toBe(-1)
          expect(cellAt(board, x, y + height)).toBe(-1)
        }
      }),
    )
  })
})
