import type { Settings } from '../settings/settings.ts'

/** The surface that a board stands on, in CSS px. `ratio` is a card's width divided by its height. */
export type Surface = { width: number; height: number; margin: number; gap: number; ratio: number }
export type Place = { x: number; y: number; width: number; height: number }
export type Layout = { card: { width: number; height: number }; grid: Place; places: Place[] }

/**
 * Where every cell of a rows × columns board lies. The card is the largest of that ratio, in whole px, with which all
 * rows and columns fit inside the margins; the grid stands in the middle. Player, lens, checks and the placement
 * table all use this one function. A surface too small for cards of 1 px gets cards of 1 px.
 */
export function layout(surface: Surface, rows: number, columns: number): Layout {
  const { width, height } = cardSize(surface, rows, columns)
  const gridWidth = columns * width + (columns - 1) * surface.gap
  const gridHeight = rows * height + (rows - 1) * surface.gap
  const grid = {
    x: Math.floor((surface.width - gridWidth) / 2),
    y: Math.floor((surface.height - gridHeight) / 2),
    width: gridWidth,
    height: gridHeight,
  }
  const places = Array.from({ length: rows * columns }, (_, cell) => ({
    x: grid.x + (cell % columns) * (width + surface.gap),
    y: grid.y + Math.floor(cell / columns) * (height + surface.gap),
    width,
    height,
  }))
  return { card: { width, height }, grid, places }
}

/** How large a card is on such a board, in whole CSS px: the part of `layout` that asks for no places. */
export function cardSize(surface: Surface, rows: number, columns: number): { width: number; height: number } {
  const roomX = (surface.width - 2 * surface.margin - (columns - 1) * surface.gap) / columns
  const roomY = (surface.height - 2 * surface.margin - (rows - 1) * surface.gap) / rows
  let width = Math.max(1, Math.floor(Math.min(roomX, (roomY + 0.5) * surface.ratio)))
  while (width > 1 && Math.round(width / surface.ratio) > roomY) width--
  return { width, height: Math.max(1, Math.round(width / surface.ratio)) }
}

/** The cell whose rectangle holds the point, left and top edges included, or −1 in the gaps and outside. */
export function cellAt(board: Layout, x: number, y: number): number {
  return board.places.findIndex(
    (place) => x >= place.x && x < place.x + place.width && y >= place.y && y < place.y + place.height,
  )
}

/** The surface of a table of this size in CSS px: margins and gaps that suit it, for cards of this ratio. */
export function tableSurface(width: number, height: number, ratio: number): Surface {
  const short = Math.min(width, height)
  const gap = Math.max(4, Math.min(12, Math.round(short / 52)))
  return { width, height, margin: Math.max(8, Math.min(28, Math.round(short / 26))), gap, ratio }
}

/** A player so many CSS px wide has its figures beside the title; on a narrower one they stand in a line of their own. */
const WIDE_FROM = 620
export const isWide = (width: number): boolean => width >= WIDE_FROM

/** Heights in CSS px of what stands around the table. */
const HEIGHTS = {
  head: { wide: 58, narrow: 104 },
  /** a row of players under the figures, and the gaps above the first and between rows */
  seats: 40,
  seatsAbove: 4,
  seatsBetween: 6,
  /** the bar of a clock that counts down */
  bar: 11,
  foot: 46,
  /** with a button that turns missed cards back */
  footWithButton: 52,
} as const
/** Players in a row on a narrow screen. */
const SEATS_IN_ROW = 2

/** What of a level's rules takes room around its table. */
export type Around = {
  clock: Pick<Settings['clock'], 'mode'>
  players: Pick<Settings['players'], 'names'>
  turn: Pick<Settings['turn'], 'onMiss'>
}

/** How high the parts around the table are in CSS px on a player of this width. The player's style lays them out by these very numbers. */
export function roomAround(
  width: number,
  { clock, players, turn }: Around,
): { head: number; bar: number; foot: number } {
  const wide = isWide(width)
  const seats = players.names.length
  const rows = seats < 2 ? 0 : wide ? 1 : Math.ceil(seats / SEATS_IN_ROW)
  const { seatsAbove, seatsBetween } = HEIGHTS
  const seated = rows && seatsAbove + rows * HEIGHTS.seats + (rows - 1) * seatsBetween
  return {
    head: HEIGHTS.head[wide ? 'wide' : 'narrow'] + seated,
    bar: clock.mode === 'down' ? HEIGHTS.bar : 0,
    foot: turn.onMiss === 'button' ? HEIGHTS.footWithButton : HEIGHTS.foot,
  }
}

/** The part of a screen of this size in CSS px that the player gives to the table. */
export function tableArea(width: number, height: number, around: Around): { width: number; height: number } {
  const { head, bar, foot } = roomAround(width, around)
  return { width, height: Math.max(1, height - head - bar - foot) }
}
