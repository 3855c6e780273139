import type { Face, Pair } from '../../core/game/game.ts'
import { drawInTurn, type Draw } from '../cards/draw-in-turn.ts'
import { paintFace } from '../cards/paint-face.ts'

/**
 * A pair as it lies on the light table: two cards that lean on each other, drawn once and kept, so that a deck of hundreds scrolls
 * without drawing anything anew.
 */

/** In px of the page: the whole, a card on it, and how the two lie. */
const PAIR_WIDE = 140
const PAIR_TALL = 92
const CARD = { width: 66, height: 79, round: 8 }
const LEAN = { first: -4, twin: 5 }
const APART = { identical: 47, related: 64 }
const EDGE = '#d5cab4'
const AWAY = { paper: '#efeae0', face: 0.3 }

/** Faces never change, so that one drawing holds for as long as a face is known. */
const drawn = new WeakMap<Face, { picture: Promise<string>; b: Face | undefined; scale: number }>()

/** The picture of a pair as a URL; empty if it cannot be drawn. */
export function pairPicture({ a, b }: Pair): Promise<string> {
  const scale = devicePixelRatio
  const known = drawn.get(a)
  if (known?.b === b && known?.scale === scale) return known.picture
  const picture = drawInTurn(PAIR_WIDE * scale, PAIR_TALL * scale, () => twoCards(scale, a, b))
  drawn.set(a, { picture, b, scale })
  return picture
}

async function twoCards(scale: number, a: Face, b: Face | undefined): Promise<Draw> {
  const [first, twin] = await Promise.all([a, b ?? a].map((face) => paintFace(face, CARD.width, CARD.height)))
  const apart = b ? APART.related : APART.identical
  const left = (PAIR_WIDE - CARD.width - apart) / 2
  return (pen) => {
    const card = (x: number, lean: number, inside: () => void): void => {
      pen.setTransform(scale, 0, 0, scale, (x + CARD.width / 2) * scale, (PAIR_TALL / 2) * scale)
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
    card(left + apart, LEAN.twin, () => {
      if (!b) {
        pen.fillStyle = AWAY.paper
        pen.fillRect(0, 0, CARD.width, CARD.height)
        pen.globalAlpha = AWAY.face
      }
      twin!(pen)
    })
    card(left, LEAN.first, () => first!(pen))
  }
}
