import { drawFace, type LoadedFace } from '../../../ship/drawing/draw-face.ts'

/** Two cards that lean on each other, in px of the page: the whole, a card on it, and the angle of each. */
export const PAIR = { width: 140, height: 92 }
const CARD = { width: 66, height: 79, round: 8 }
const LEAN = { first: -4, twin: 5 }
const APART = { identical: 47, related: 64 }
const EDGE = '#d5cab4'
const AWAY = { paper: '#efeae0', face: 0.3 }

/** Draws a pair, `scale` px of the canvas to one of the page. Without a second face, the twin is drawn turned away. */
export function drawPair(
  pen: OffscreenCanvasRenderingContext2D,
  first: LoadedFace,
  twin: LoadedFace | undefined,
  scale: number,
): void {
  const apart = twin ? APART.related : APART.identical
  const margin = (PAIR.width - CARD.width - apart) / 2
  const card = (x: number, lean: number, inside: () => void): void => {
    pen.setTransform(scale, 0, 0, scale, (x + CARD.width / 2) * scale, (PAIR.height / 2) * scale)
    pen.rotate((lean * Math.PI) / 180)
    pen.translate(-CARD.width / 2, -CARD.height / 2)
    pen.save()
    pen.beginPath()
    pen.roundRect(0, 0, CARD.width, CARD.height, CARD.round)
    pen.clip()
    inside()
    pen.restore()
    pen.beginPath()
    pen.roundRect(-0.5, -0.5, CARD.width + 1, CARD.height + 1, CARD.round)
    pen.strokeStyle = EDGE
    pen.stroke()
  }
  card(margin + apart, LEAN.twin, () => {
    if (!twin) {
      pen.fillStyle = AWAY.paper
      pen.fillRect(0, 0, CARD.width, CARD.height)
      pen.globalAlpha = AWAY.face
    }
    drawFace(pen, twin ?? first, CARD.width, CARD.height)
  })
  card(margin, LEAN.first, () => drawFace(pen, first, CARD.width, CARD.height))
}
