/** A board: its rows and columns, and the names of the cells that hold no card. */
export type Board = { rows: number; columns: number; gaps: readonly string[] }
/**
 * Cells have a name for people ("C3": column letter, row number, A1 top left) and an index for code
 * (0 upwards, row by row).
 */

/** The name of a cell. `index` is 0 to rows × columns − 1; columns 1 to 26. */
export function cellName(index: number, columns: number): string {
  return String.fromCharCode(65 + (index % columns)) + String(Math.floor(index / columns) + 1)
}

/** What a cell's name looks like; its column has one letter, its row one or two digits. */
export const CELL_NAME = /^[A-Z][1-9][0-9]?$/

/** The index of a named cell, or −1 if the name is not valid or lies outside this board. */
export function cellIndex(name: string, rows: number, columns: number): number {
  if (!CELL_NAME.test(name)) return -1
  const column = name.charCodeAt(0) - 65
  const row = Number(name.slice(1)) - 1
  return column < columns && row < rows ? row * columns + column : -1
}

/** The cells that hold a card, in order. Gaps outside the board are ignored. */
export function openCells(board: Board): number[] {
  const size = board.rows * board.columns
  const isGap = new Uint8Array(size)
  for (const name of board.gaps) {
    const cell = cellIndex(name, board.rows, board.columns)
    if (cell >= 0) isGap[cell] = 1
  }
  const open: number[] = []
  for (let cell = 0; cell < size; cell++) if (!isGap[cell]) open.push(cell)
  return open
}
