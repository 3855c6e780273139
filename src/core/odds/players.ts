import { draw } from '../deal/draw.ts'
import type { Stream } from '../deal/seed.ts'
import { cardsMatch, NO_CARD, pairOf } from '../deck/card.ts'
import { apply, isWaitingForButton, press } from '../play/machine.ts'
import { isOver, NEVER, type Round } from '../play/round.ts'

/*
 * Simulated players. They drive the machine like anyone else: they press, and read what lies face up.
 * They leave each look time be and press at its end, so a game takes the time that its rules ask for.
 */

/** Flips `cell` as soon as that is possible, turning missed cards back first where the rules leave it to the player. */
function flipNext(round: Round, cell: number): void {
  if (round.dueAt !== NEVER) press(round, round.dueAt, cell)
  else {
    if (isWaitingForButton(round)) apply(round, { at: round.at, do: 'turn-back' })
    press(round, round.at, cell)
  }
  // the press may have been used up by turning missed cards back
  if (round.states[cell] === 'down' && !isOver(round)) press(round, round.at, cell)
}

/**
 * Plays a round to its end with a perfect memory: flip an unseen card; if its twin is known take it, else flip the next
 * unseen card. In: a fresh round of a level without repeated pairs. Unseen cards are taken in order of their cells,
 * which is as good as any on a shuffled board.
 */
export function playPerfectMemory(round: Round): void {
  const { cells } = round
  /** by pair: 1 more than the cell of its card that has been seen and not yet taken, or 0 */
  const seenAt = round.seenFaces.slice()
  let next = 0
  while (!isOver(round)) {
    while (cells[next] === NO_CARD) next++
    const first = next++
    flipNext(round, first)
    const pair = pairOf(cells[first]!)
    const twin = seenAt[pair]!
    if (twin > 0) {
      flipNext(round, twin - 1)
      continue
    }
    if (isOver(round)) return
    while (cells[next] === NO_CARD) next++
    const second = next++
    flipNext(round, second)
    const other = pairOf(cells[second]!)
    if (other === pair) continue
    seenAt[pair] = first + 1
    const known = seenAt[other]!
    if (known === 0) seenAt[other] = second + 1
    else if (!isOver(round)) {
      // the second card's twin was known: that pair is taken next
      flipNext(round, second)
      flipNext(round, known - 1)
    }
  }
}

/** Plays a round to its end with no memory at all: two random face-down cards each turn. */
export function playNoMemory(round: Round, stream: Stream): void {
  const down: number[] = []
  for (let cell = 0; cell < round.cells.length; cell++) if (round.cells[cell] !== NO_CARD) down.push(cell)
  while (!isOver(round)) {
    const i = draw(stream, down.length)
    let j = draw(stream, down.length - 1)
    if (j >= i) j++
    const one = down[i]!
    const other = down[j]!
    flipNext(round, one)
    flipNext(round, other)
    if (cardsMatch(round.cells[one]!, round.cells[other]!)) {
      down.splice(Math.max(i, j), 1)
      down.splice(Math.min(i, j), 1)
    }
  }
}
