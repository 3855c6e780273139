import { BOUNDS } from '../settings/bounds.ts'
import {
  cardSize,
  layout,
  tableArea,
  tableSurface,
  TOUCHABLE,
  type Around,
  type BoardSettings,
  type Layout,
  type Surface,
} from './geometry.ts'

/** Screens that a board is checked on: their size in CSS px, and how large such a px usually is on them, in mm. */
export const FRAMES = {
  phone: { width: 360, height: 640, mm: 25.4 / 160 },
  'phone-across': { width: 780, height: 360, mm: 25.4 / 160 },
  'small-phone': { width: 320, height: 568, mm: 25.4 / 163 },
  tablet: { width: 1024, height: 768, mm: 25.4 / 132 },
  'tablet-upright': { width: 768, height: 1024, mm: 25.4 / 132 },
  desktop: { width: 1280, height: 800, mm: 25.4 / 96 },
} as const
export type FrameName = keyof typeof FRAMES
export const FRAME_NAMES = Object.keys(FRAMES) as FrameName[]

/** A screen in CSS px; `safe` px along every edge are kept free for the device's own parts. */
export type Frame = { width: number; height: number; safe: number }
export const FRAME_BOUNDS = { side: [200, 4000], safe: [0, 120] } as const

/** The screen of that name, with nothing kept free at its edges. */
export const frameOf = (name: FrameName): Frame => ({
  width: FRAMES[name].width,
  height: FRAMES[name].height,
  safe: 0,
})

/** How large a CSS px usually is on a screen of this size, in mm: as on the known screen that is most like it. */
export function mmIn({ width, height }: Pick<Frame, 'width' | 'height'>): number {
  const unlike = (name: FrameName): number =>
    Math.abs(Math.log(width / FRAMES[name].width)) + Math.abs(Math.log(height / FRAMES[name].height))
  const [nearest] = [...FRAME_NAMES].sort((one, other) => unlike(one) - unlike(other))
  return FRAMES[nearest!].mm
}

type FramedBoard = Around & BoardSettings

/** The surface that a level's board has on this screen, in CSS px. */
function surfaceIn(frame: Frame, shown: FramedBoard): Surface {
  const { width, height } = tableArea(frame.width - 2 * frame.safe, frame.height - 2 * frame.safe, shown)
  return tableSurface(width, height, shown)
}

/** Where the cells of a level lie on this screen, by the shared geometry. x and y count from the table's corner. */
export function layoutIn(frame: Frame, shown: FramedBoard): Layout & { width: number; height: number } {
  const surface = surfaceIn(frame, shown)
  const { rows, columns } = shown.board
  return { width: surface.width, height: surface.height, ...layout(surface, rows, columns) }
}

/** How large a card of a level is on this screen, in CSS px. */
export const cardIn = (frame: Frame, shown: FramedBoard): { width: number; height: number } =>
  cardSize(surfaceIn(frame, shown), shown.board.rows, shown.board.columns)

/** A frame in which cards of one size are as large as they are set, with the space around them that it has room for. */
const AMPLE = 100_000

/**
 * Whether cards of one size keep it on this screen: where there is too little room they become smaller. Cards that are
 * as large as fits do always.
 */
export function keepsSize(frame: Frame, shown: FramedBoard): boolean {
  const { size } = shown.layout
  return size === null || cardIn(frame, shown).width === size.width
}

/** This frame, or one that has grown until the cards of all these levels keep their size, in CSS px. */
export function frameFor(frame: Frame, levels: readonly FramedBoard[]): Frame {
  let { width, height } = frame
  for (const level of levels) {
    if (keepsSize({ ...frame, width, height }, level)) continue
    const { grid, width: ample } = layoutIn({ ...frame, width: AMPLE, height: AMPLE }, level)
    const { margin } = tableSurface(ample, ample, level)
    const room = layoutIn({ ...frame, width, height }, level)
    width += Math.max(0, grid.width + 2 * margin - room.width)
    height += Math.max(0, grid.height + 2 * margin - room.height)
  }
  return { ...frame, width, height }
}

/** The shorter side of a card on this screen, in CSS px. */
export function touchSize(frame: Frame, shown: FramedBoard): number {
  const { width, height } = cardIn(frame, shown)
  return Math.min(width, height)
}

/**
 * The board nearest to this one whose cards can be touched on all of these screens: as many cards as possible, at most
 * as many as now, even without gaps, and of these the one most like it. Null if there is none.
 */
export function nearestTouchable(
  frames: readonly Frame[],
  framed: FramedBoard,
): { rows: number; columns: number } | null {
  const { rows, columns } = framed.board
  const [low, high] = BOUNDS.side
  let best: { rows: number; columns: number } | null = null
  let bestCost = Infinity
  for (let r: number = low; r <= high; r++)
    for (let c: number = low; c <= high; c++) {
      if ((r * c) % 2 || r * c > rows * columns) continue
      const board = { rows: r, columns: c }
      if (frames.some((frame) => touchSize(frame, { ...framed, board }) < TOUCHABLE)) continue
      const cost = (rows * columns - r * c) * 100 + Math.abs(r - rows) + Math.abs(c - columns)
      if (cost < bestCost) {
        best = { rows: r, columns: c }
        bestCost = cost
      }
    }
  return best
}
