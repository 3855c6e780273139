/** The stage that a board stands on, in CSS px. `ratio` is a card's width divided by its height. */
export type Stage = { width: number; height: number; margin: number; gap: number; ratio: number }
export type Place = { x: number; y: number; width: number; height: number }
export type Layout = { card: { width: number; height: number }; grid: Place; places: Place[] }

/**
 * Where every cell of a rows × columns board lies. The card is the largest of that ratio, in whole px, with which all
 * rows and columns fit inside the margins; the grid stands in the middle. Player, lens, checks and the placement
 * table all use this one function. A stage too small for cards of 1 px gets cards of 1 px.
 */
export function layout(stage: Stage, rows: number, columns: number): Layout {
  const roomX = (stage.width - 2 * stage.margin - (columns - 1) * stage.gap) / columns
  const roomY = (stage.height - 2 * stage.margin - (rows - 1) * stage.gap) / rows
  let width = Math.max(1, Math.floor(Math.min(roomX, (roomY + 0.5) * stage.ratio)))
  while (width > 1 && Math.round(width / stage.ratio) > roomY) width--
  const height = Math.max(1, Math.round(width / stage.ratio))
  const gridWidth = columns * width + (columns - 1) * stage.gap
  const gridHeight = rows * height + (rows - 1) * stage.gap
  const grid = {
    x: Math.floor((stage.width - gridWidth) / 2),
    y: Math.floor((stage.height - gridHeight) / 2),
    width: gridWidth,
    height: gridHeight,
  }
  const places = Array.from({ length: rows * columns }, (_, cell) => ({
    x: grid.x + (cell % columns) * (width + stage.gap),
    y: grid.y + Math.floor(cell / columns) * (height + stage.gap),
    width,
    height,
  }))
  return { card: { width, height }, grid, places }
}

/** The cell whose rectangle holds the point, left and top edges included, or −1 in the gaps and outside. */
export function cellAt(board: Layout, x: number, y: number): number {
  return board.places.findIndex(
    (place) => x >= place.x && x < place.x + place.width && y >= place.y && y < place.y + place.height,
  )
}

/** The stage of a table of this size in CSS px: margins and gaps that suit it, for cards of this ratio. */
export function tableStage(width: number, height: number, ratio: number): Stage {
  const short = Math.min(width, height)
  const gap = Math.max(4, Math.min(12, Math.round(short / 52)))
  return { width, height, margin: Math.max(8, Math.min(28, Math.round(short / 26))), gap, ratio }
}

/** What the player keeps above and below its table in CSS px: figures stand in a line of their own on a narrow screen. */
const AROUND_TABLE = { wideFrom: 620, wide: 115, narrow: 160 }

/** Whether a player so many CSS px wide has its figures beside the title. */
export const isWide = (width: number): boolean => width >= AROUND_TABLE.wideFrom

/** The part of a screen of this size in CSS px that the player gives to the table. */
export function tableArea(width: number, height: number): { width: number; height: number } {
  const { wide, narrow } = AROUND_TABLE
  return { width, height: Math.max(1, height - (isWide(width) ? wide : narrow)) }
}
