import { faceIndex, twinFace, type Card } from '../deck/card.ts'
import { draw } from './draw.ts'
import type { Stream } from './seed.ts'
import type { CellGraph } from '../board/steps.ts'

/** Moves tried for each card. */
const MOVES = 12

/**
 * Walks at random among the arrangements in which no two matching cards lie on joined cells, starting from one of them.
 * In: the cards of the start, changed in place; `tooClose`, a graph on their places. A move draws a place and another
 * face. Alternately, that place swaps with another one that shows that face; or all places connected to it through
 * joined cells that show one of the two faces swap one face for the other, and, if that changes how often the faces
 * occur, so do those connected to a second place, drawn too, which must restore the balance. A move that lays matching
 * cards too close is undone. Every move is as likely as its reverse, so all arrangements that can be reached are
 * equally likely in the long run. On some small boards with related and identical pairs not all can be reached; for
 * others, tests compare with full enumeration. Source: the chains of A. B. Kempe (1879), as moved by J.-S. Wang, R. H.
 * Swendsen, R. Kotecký, Phys. Rev. Lett. 63 (1989).
 */
export function walkApart(cards: Card[], tooClose: CellGraph, stream: Stream): void {
  const size = cards.length
  const cardOfFace = new Map(cards.map((card) => [faceIndex(card), card]))
  const faces = [...cardOfFace.keys()].sort((a, b) => a - b)
  if (faces.length < 2) return
  const shows = Int32Array.from(cards, faceIndex)
  const isBad = (place: number): boolean => {
    const twin = twinFace(cardOfFace.get(shows[place]!)!)
    return tooClose[place]!.some((near) => shows[near] === twin)
  }
  /** the places of a move (the first `length` entries), and for each place the move in which it was added */
  const chain = new Int32Array(size)
  const inMove = new Int32Array(size)
  let length = 0
  /**
   * Adds the places connected to a place through these two faces. Out: how many more of them show the first face than
   * the second.
   */
  const addHanging = (start: number, one: number, other: number, move: number): number => {
    let more = 0
    const from = length
    chain[length++] = start
    inMove[start] = move
    for (let at = from; at < length; at++) {
      const place = chain[at]!
      more += shows[place] === one ? 1 : -1
      for (const near of tooClose[place]!) {
        if (inMove[near] === move || (shows[near] !== one && shows[near] !== other)) continue
        inMove[near] = move
        chain[length++] = near
      }
    }
    return more
  }
  const change = (one: number, other: number): void => {
    for (let at = 0; at < length; at++) shows[chain[at]!] = shows[chain[at]!] === one ? other : one
  }
  const someAreBad = (): boolean => {
    for (let at = 0; at < length; at++) if (isBad(chain[at]!)) return true
    return false
  }
  for (let move = 1; move <= MOVES * size; move++) {
    const start = draw(stream, size)
    const one = shows[start]!
    const at = draw(stream, faces.length - 1)
    const other = faces[at]! < one ? faces[at]! : faces[at + 1]!
    length = 0
    if (move % 2) {
      const second = draw(stream, size)
      if (shows[second] !== other) continue
      chain[length++] = start
      chain[length++] = second
    } else {
      const more = addHanging(start, one, other, move)
      if (more !== 0) {
        const second = draw(stream, size)
        if ((shows[second] !== one && shows[second] !== other) || inMove[second] === move) continue
        if (addHanging(second, one, other, move) !== -more) continue
      }
    }
    change(one, other)
    if (someAreBad()) change(one, other)
  }
  for (let place = 0; place < size; place++) cards[place] = cardOfFace.get(shows[place]!)!
}
