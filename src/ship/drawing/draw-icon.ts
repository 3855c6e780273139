import { ratioOf } from '../../core/board/geometry.ts'
import { CORNER } from '../../core/deck/back-look.ts'
import type { Game } from '../../core/game/game.ts'
import type { LoadedBack } from './draw-back.ts'
import { drawCard } from './draw-card.ts'
import type { LoadedFace } from './draw-face.ts'

/** An icon of a game: how many px a side, and whether a device cuts it to a shape of its own. */
export type Icon = { side: number; maskable: boolean }

/**
 * How high the cards are, as a share of the icon: where a device cuts it, all that matters is within a circle of four
 * fifths.
 */
const CARD_SHARE = { whole: 0.66, maskable: 0.52 } as const
/** Of the icon, the radius of its corners where it is not cut. */
const ROUND = 0.2
/** How the two cards lie: their turn in degrees, and how far from the middle, as a share of a card's width. */
const LEAN = { back: { turn: -12, aside: -0.3 }, face: { turn: 7, aside: 0.26 } } as const
/**
 * The width at which a card is drawn before it is scaled to the icon, in px: its edge and corners are as on a table.
 */
const CARD_WIDTH = 90

/**
 * Draws a game's icon: its back and a face, on the colour of its table. In: a pen on a bare canvas of the icon's size.
 */
export function drawIcon(
  pen: OffscreenCanvasRenderingContext2D,
  { layout, look }: Pick<Game['house'], 'layout' | 'look'>,
  { back, face }: { back: LoadedBack; face: LoadedFace },
  { side, maskable }: Icon,
): void {
  pen.fillStyle = look.table
  pen.beginPath()
  pen.roundRect(0, 0, side, side, maskable ? 0 : side * ROUND)
  pen.fill()
  const size = { width: CARD_WIDTH, height: CARD_WIDTH / ratioOf(layout), corner: CARD_WIDTH * CORNER.share }
  // a wide card is bounded by its width
  const longest = Math.max(size.height, size.width * 1.25)
  const scale = (side * (maskable ? CARD_SHARE.maskable : CARD_SHARE.whole)) / longest
  for (const [card, { turn, aside }] of [
    [back, LEAN.back],
    [face, LEAN.face],
  ] as const) {
    pen.save()
    pen.translate(side / 2 + aside * size.width * scale, side / 2)
    pen.rotate((turn * Math.PI) / 180)
    pen.translate((-size.width * scale) / 2, (-size.height * scale) / 2)
    pen.shadowColor = '#0006'
    pen.shadowBlur = side * 0.03
    pen.fillStyle = '#000'
    pen.beginPath()
    pen.roundRect(0, 0, size.width * scale, size.height * scale, size.corner * scale)
    pen.fill()
    pen.shadowColor = '#0000'
    drawCard(pen, card, size, scale)
    pen.restore()
  }
}
