import { faceOf, twinFace, type Card } from '../deck/card.ts'
import { draw } from './draw.ts'
import type { Stream } from './seed.ts'
import type { CellGraph } from './steps.ts'

/** Swaps tried in a block, for each card; blocks until the odds of a bad swap halve. */
const SWAPS = 20
const PATIENCE = 50

/**
 * Swaps cards about until no two matching ones lie on joined cells, for boards on which a pair lies more than once. In: the cards as they lie at
 * first, changed in place; `tooClose`, a graph on their places, and `joined`, the same as a square table; `blocks`, how
 * long it is tried. Out: whether it was managed.
 * Places to swap are drawn evenly. A swap that makes d more bad neighbours is taken with probability m⁻ᵈ, m the mean number of them in a shuffle,
 * so every arrangement stays within reach and the good ones stay equally likely (N. Metropolis
 * et al., J. Chem. Phys. 21, 1953). It is looked at only after whole blocks, so that when it is good is left to chance alone.
 */
export function swapApart(
  cards: Card[],
  tooClose: CellGraph,
  joined: Uint8Array,
  stream: Stream,
  blocks: number,
): boolean {
  const size = cards.length
  const faces = Int32Array.from(cards, faceOf)
  const twins = Int32Array.from(cards, twinFace)
  const width = faces.reduce((most, face, i) => Math.max(most, face, twins[i]!), 0) + 1
  /** how many neighbours of a place show a face: place × width + face */
  const near = new Uint16Array(size * width)
  tooClose.forEach((others, place) => {
    for (const other of others) {
      near[place * width + faces[other]!]!++
    }
  })
  // every bad neighbourhood is counted from both its ends
  let bad = 0
  for (let place = 0; place < size; place++) bad += near[place * width + twins[place]!]!
  let odds = Math.max(2, Math.ceil(meanTooClose(cards, tooClose)))
  for (let block = 1; bad > 0; block++) {
    if (block > blocks) return false
    if (block % PATIENCE === 0) odds *= 2
    for (let left = SWAPS * size; left > 0; left--) {
      const i = draw(stream, size)
      const j = draw(stream, size)
      const one = faces[i]!
      const other = faces[j]!
      if (i === j || one === other) continue
      const oneTwin = twins[i]!
      const otherTwin = twins[j]!
      const [atI, atJ] = [i * width, j * width]
      const before = near[atI + oneTwin]! + near[atJ + otherTwin]!
      let after = near[atI + otherTwin]! + near[atJ + oneTwin]!
      // what is seen of the other's place is seen as it will be
      if (joined[i * size + j]) {
        if (other === otherTwin) after--
        if (one === otherTwin) after++
        if (one === oneTwin) after--
        if (other === oneTwin) after++
      }
      const worse = after - before
      let taken = true
      for (let d = 0; taken && d < worse; d++) taken = draw(stream, odds) === 0
      if (!taken) continue
      bad += 2 * worse
      faces[i] = other
      faces[j] = one
      twins[i] = otherTwin
      twins[j] = oneTwin
      const card = cards[i]!
      cards[i] = cards[j]!
      cards[j] = card
      for (const place of tooClose[i]!) {
        near[place * width + one]!--
        near[place * width + other]!++
      }
      for (const place of tooClose[j]!) {
        near[place * width + other]!--
        near[place * width + one]!++
      }
    }
  }
  return true
}

/** How many pairs of matching cards are too close in a shuffle, on average. */
function meanTooClose(cards: readonly Card[], tooClose: CellGraph): number {
  const size = cards.length
  const joined = tooClose.reduce((sum, near) => sum + near.length, 0) / 2
  const copies = new Map<number, number>()
  for (const card of cards) copies.set(card, (copies.get(card) ?? 0) + 1)
  let matching = 0
  for (const [card, count] of copies)
    matching += (card & 2) === 0 ? (count * (count - 1)) / 2 : (count * (copies.get(card ^ 1) ?? 0)) / 2
  return (matching * joined) / ((size * (size - 1)) / 2)
}
