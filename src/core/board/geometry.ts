import { figuresOf, type FigureSettings } from '../settings/figures.ts'
import type { Settings, Stand } from '../settings/settings.ts'

/**
 * The surface that a board stands on, in CSS px. `card`: how large its cards are, or the ratio of width to height of
 * cards as large as fits; `gap`: the space between cards.
 */
export type Surface = {
  width: number
  height: number
  margin: number
  gap: { across: number; down: number }
  card: { width: number; height: number } | { ratio: number }
  stands: Stand
}
export type Place = { x: number; y: number; width: number; height: number }
export type Layout = {
  card: { width: number; height: number }
  gap: Surface['gap']
  grid: Place
  places: Place[]
}

/**
 * Where every cell of a rows × columns board lies. A card without a size of its own is the largest of that ratio, in
 * whole px, with which all rows and columns fit inside the margins. Player, board from above, checks and the placement
 * table all use this one function. A surface too small for cards of 1 px gets cards of 1 px.
 */
export function layout(surface: Surface, rows: number, columns: number): Layout {
  const { gap, margin, stands } = surface
  const { width, height } = cardSize(surface, rows, columns)
  const gridWidth = columns * width + (columns - 1) * gap.across
  const gridHeight = rows * height + (rows - 1) * gap.down
  /** the room left over, at this side of the grid */
  const before = (room: number, atStart: boolean, atEnd: boolean): number =>
    atStart ? margin : atEnd ? room - margin : Math.floor(room / 2)
  const grid = {
    x: before(surface.width - gridWidth, stands.endsWith('left'), stands.endsWith('right')),
    y: before(surface.height - gridHeight, stands.startsWith('top'), stands.startsWith('bottom')),
    width: gridWidth,
    height: gridHeight,
  }
  const places = Array.from({ length: rows * columns }, (_, cell) => ({
    x: grid.x + (cell % columns) * (width + gap.across),
    y: grid.y + Math.floor(cell / columns) * (height + gap.down),
    width,
    height,
  }))
  return { card: { width, height }, gap, grid, places }
}

/** How large a card is on such a board, in whole CSS px: the part of `layout` that needs no positions. */
export function cardSize(surface: Surface, rows: number, columns: number): { width: number; height: number } {
  const { margin, gap, card } = surface
  if ('width' in card) return card
  const roomX = (surface.width - 2 * margin - (columns - 1) * gap.across) / columns
  const roomY = (surface.height - 2 * margin - (rows - 1) * gap.down) / rows
  let width = Math.max(1, Math.floor(Math.min(roomX, (roomY + 0.5) * card.ratio)))
  while (width > 1 && Math.round(width / card.ratio) > roomY) width--
  return { width, height: Math.max(1, Math.round(width / card.ratio)) }
}

/** The cell whose rectangle holds the point, left and top edges included, or −1 in the gaps and outside. */
export function cellAt(board: Layout, x: number, y: number): number {
  return board.places.findIndex(
    (place) => x >= place.x && x < place.x + place.width && y >= place.y && y < place.y + place.height,
  )
}

/** The settings of a level that say how its cards are laid out. */
export type BoardSettings = {
  board: Pick<Settings['board'], 'rows' | 'columns'>
  layout: Settings['layout']
}

/** A card's width divided by its height. */
export const ratioOf = ({ size, ratio }: Settings['layout']): number =>
  size ? size.width / size.height : ratio

/** Smaller than this, a card is hard to hit with a finger; in CSS px (WCAG 2.2, success criterion 2.5.5). */
export const TOUCHABLE = 44

/**
 * The least and the most space between and around cards in CSS px, for a table whose shorter side is `share` times as
 * long.
 */
const GAP = { least: 4, most: 12, share: 52 } as const
const MARGIN = { least: 8, most: 28, share: 26 } as const
const within = ({ least, most, share }: typeof GAP | typeof MARGIN, short: number): number =>
  Math.max(least, Math.min(most, Math.round(short / share)))

/** Own gaps and margins may take this much of the table before they are made smaller. */
const MOST_AROUND = 0.5

/**
 * The surface of a table of this size in CSS px for a level: its own card size, gaps and margin if they fit, else all
 * of them smaller by one and the same factor, down to cards of 1 px. What the level leaves open suits the table, and
 * shrinks before cards become too small to touch.
 */
export function tableSurface(width: number, height: number, { board, layout }: BoardSettings): Surface {
  const short = Math.min(width, height)
  const usual = surfaceWith(width, height, { board, layout }, within(GAP, short), within(MARGIN, short))
  const card = cardSize(usual, board.rows, board.columns)
  return Math.min(card.width, card.height) >= TOUCHABLE
    ? usual
    : surfaceWith(width, height, { board, layout }, GAP.least, MARGIN.least)
}

/** The surface with this space between and around cards where the level sets none. */
function surfaceWith(
  width: number,
  height: number,
  { board, layout }: BoardSettings,
  usualGap: number,
  usualMargin: number,
): Surface {
  const { size, gapAcross, gapDown, margin } = layout
  const ideal = {
    across: gapAcross ?? usualGap,
    down: gapDown ?? usualGap,
    margin: margin ?? usualMargin,
  }
  const aroundX = 2 * ideal.margin + (board.columns - 1) * ideal.across
  const aroundY = 2 * ideal.margin + (board.rows - 1) * ideal.down
  const isOwn = size !== null || gapAcross !== null || gapDown !== null || margin !== null
  const scale = !isOwn
    ? 1
    : size
      ? Math.min(
          1,
          width / (aroundX + board.columns * size.width),
          height / (aroundY + board.rows * size.height),
        )
      : Math.min(1, (width * MOST_AROUND) / aroundX, (height * MOST_AROUND) / aroundY)
  const scaled = (length: number): number => Math.floor(length * scale)
  return {
    width,
    height,
    margin: scaled(ideal.margin),
    gap: { across: scaled(ideal.across), down: scaled(ideal.down) },
    card: size
      ? { width: Math.max(1, scaled(size.width)), height: Math.max(1, scaled(size.height)) }
      : { ratio: layout.ratio },
    stands: layout.stands,
  }
}

/** A player this many CSS px wide shows its figures beside the title; a narrower one gives them a line of their own. */
const WIDE_FROM = 620
/**
 * A player lower than this, and this many times as wide as high, shows everything beside the table: a phone held
 * sideways.
 */
const ACROSS = { below: 480, ratio: 1.4 } as const

/** How the parts around the table stand: above it in one line, above it in two, or beside it. */
export type Standing = 'wide' | 'narrow' | 'across'
export const standingOf = (width: number, height: number): Standing =>
  height < ACROSS.below && width >= height * ACROSS.ratio ? 'across' : width >= WIDE_FROM ? 'wide' : 'narrow'

/** Lengths in CSS px of the parts around the table. */
const AROUND = {
  /** without figures, where those stand in lines of their own */
  head: { wide: 58, narrow: 56 },
  /** a line of figures, and how much higher large ones are */
  figures: { wide: 32, narrow: 48 },
  large: { wide: 12, narrow: 14 },
  /** the game's title, on a narrow player */
  title: 22,
  /** a row of players under the figures, and the gaps above the first and between rows */
  seats: 40,
  seatsAbove: 4,
  seatsBetween: 6,
  /** the bar of a clock that counts down */
  bar: 11,
  foot: 46,
  /** with a button that turns missed cards back */
  footWithButton: 52,
  /** the column beside the table of a phone held sideways */
  side: 196,
} as const
/** Players in a row on a narrow screen. */
const SEATS_IN_ROW = 2

/** The rules of a level that take space around its table. */
export type Around = FigureSettings & { head: Settings['head']; turn: Pick<Settings['turn'], 'onMiss'> }

/** How much of a wide player's head other things take, and how much a figure takes, in CSS px. */
const HEAD_TAKEN = 360
const FIGURE_WIDE = { usual: 120, large: 150 } as const
const FIGURES_NARROW = { usual: 4, large: 3 } as const
const FIGURES_BESIDE = 2
/**
 * How many figures stand in a line at the head of a player of this width, 1 at least. Lines are filled evenly: four
 * figures that need two lines are two and two.
 */
export function figuresInRow(width: number, standing: Standing, around: Around): number {
  if (standing === 'across') return FIGURES_BESIDE
  const { size } = around.head
  const fit =
    standing === 'narrow' ? FIGURES_NARROW[size] : Math.floor((width - HEAD_TAKEN) / FIGURE_WIDE[size])
  const count = figuresOf(around).length
  return Math.ceil(count / Math.ceil(count / fit)) || 1
}

/**
 * How high the parts above and below the table are, and how wide those beside it, in CSS px on a player of this size.
 * The player's style lays them out by the same numbers.
 */
export function roomAround(
  width: number,
  height: number,
  around: Around,
): { head: number; bar: number; foot: number; side: number } {
  const standing = standingOf(width, height)
  if (standing === 'across') return { head: 0, bar: 0, foot: 0, side: AROUND.side }
  const { clock, players, turn, head } = around
  const seats = players.names.length
  const rows = seats < 2 ? 0 : standing === 'wide' ? 1 : Math.ceil(seats / SEATS_IN_ROW)
  const { seatsAbove, seatsBetween } = AROUND
  const seated = rows && seatsAbove + rows * AROUND.seats + (rows - 1) * seatsBetween
  const lines = Math.ceil(figuresOf(around).length / figuresInRow(width, standing, around))
  const larger = head.size === 'large' ? AROUND.large[standing] : 0
  const line = AROUND.figures[standing] + larger
  // on a wide player the first line stands in the head itself
  const figures = standing === 'wide' ? Math.max(0, lines - 1) * line + larger : lines * line
  const title = head.title && standing === 'narrow' ? AROUND.title : 0
  return {
    head: AROUND.head[standing] + figures + title + seated,
    bar: clock.mode === 'down' ? AROUND.bar : 0,
    foot: turn.onMiss === 'button' ? AROUND.footWithButton : AROUND.foot,
    side: 0,
  }
}

/** The part of a screen of this size in CSS px that the player gives to the table. */
export function tableArea(width: number, height: number, around: Around): { width: number; height: number } {
  const { head, bar, foot, side } = roomAround(width, height, around)
  return { width: Math.max(1, width - side), height: Math.max(1, height - head - bar - foot) }
}
