import { cellName } from './cells.ts'

/** Outlines of our own for a board, made of gaps; each fits any rows and columns and leaves an even number of cards. */
export const OUTLINES = ['full', 'ring', 'diamond', 'stair', 'islands'] as const
export type Outline = (typeof OUTLINES)[number]

/**
 * Whether a cell belongs to the outline. All are symmetric but the stair, so that an odd cell out is the middle one.
 */
type Inside = (row: number, column: number) => boolean

function insideOf(outline: Outline, rows: number, columns: number): Inside {
  const [middleRow, middleColumn] = [(rows - 1) / 2, (columns - 1) / 2]
  switch (outline) {
    case 'full':
      return () => true
    case 'ring': {
      const width = Math.max(1, Math.floor(Math.min(rows, columns) / 4))
      return (row, column) =>
        Math.min(row, rows - 1 - row) < width || Math.min(column, columns - 1 - column) < width
    }
    case 'diamond':
      return (row, column) =>
        Math.abs(row - middleRow) / rows + Math.abs(column - middleColumn) / columns <= 0.5
    case 'stair':
      return (row, column) => column < Math.ceil(((row + 1) * columns) / rows)
    case 'islands': {
      // the strait runs across the longer side, two cells wide where one would leave the islands uneven
      const along = columns >= rows ? columns : rows
      const strait = along < 3 ? 0 : along % 2 ? 1 : 2
      return (row, column) =>
        Math.abs((columns >= rows ? column - middleColumn : row - middleRow) * 2) >= strait
    }
  }
}

/**
 * The gaps, as cell names, that give a rows × columns board this outline. The number of cards left is even: if it would
 * be odd, the middle cell is left out too; for a stair, its foot.
 */
export function outlineGaps(outline: Outline, rows: number, columns: number): string[] {
  const inside = insideOf(outline, rows, columns)
  const name = (row: number, column: number): string => cellName(row * columns + column, columns)
  const gaps: string[] = []
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) if (!inside(row, column)) gaps.push(name(row, column))
  if ((rows * columns - gaps.length) % 2 === 0) return gaps
  return [
    ...gaps,
    outline === 'stair' ? name(rows - 1, columns - 1) : name((rows - 1) / 2, (columns - 1) / 2),
  ]
}
