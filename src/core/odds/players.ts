import { draw } from '../deal/draw.ts'
import type { Stream } from '../deal/seed.ts'
import { cardsMatch, faceOf, NO_CARD, twinFace } from '../deck/card.ts'
import { apply, isWaitingForButton, press } from '../play/machine.ts'
import { isOver, NEVER, type Round } from '../play/round.ts'

/*
 * Simulated players. They drive the machine like anyone else: they press, and read what lies face up.
 * They leave each look time be and press at its end, so a game takes the time that its rules ask for.
 */

/** Flips `cell` as soon as that is possible, turning missed cards back first where the rules leave it to the player. */
function flipNext(round: Round, cell: number): void {
  const { flips } = round
  if (round.dueAt !== NEVER) press(round, round.dueAt, cell)
  else {
    if (isWaitingForButton(round)) apply(round, { at: round.at, do: 'turn-back' })
    press(round, round.at, cell)
  }
  // the press may have been used up by turning missed cards back
  if (round.flips === flips && !isOver(round)) press(round, round.at, cell)
}

/** The cells that hold a card, in the order of the board. */
export function cardCells(cells: readonly number[]): number[] {
  const found: number[] = []
  for (let cell = 0; cell < cells.length; cell++) if (cells[cell] !== NO_CARD) found.push(cell)
  return found
}

/**
 * Plays a round to its end with a perfect memory: flip an unseen card; if a card that matches it is known take that, else flip
 * another unseen card; a match that comes to be known is taken next. In: a fresh round, and the cells of its cards in the order in which
 * unseen ones are flipped. That order must have been drawn at random, unless the board is shuffled, when any is as good.
 */
export function playPerfectMemory(round: Round, order: readonly number[]): void {
  const { cells } = round
  // for each face the cells that are known to show it, as a list: 1 more than its first cell, and for each cell the next of it
  const knownAt = round.seenFaces.slice()
  const nextKnown = round.seenIn.slice()
  let next = 0
  while (!isOver(round)) {
    const first = order[next++]!
    flipNext(round, first)
    if (isOver(round)) return
    const wanted = twinFace(cells[first]!)
    const twin = knownAt[wanted]!
    if (twin > 0) {
      knownAt[wanted] = nextKnown[twin - 1]!
      flipNext(round, twin - 1)
      continue
    }
    // no match is known, so one of the unseen cards is one
    const second = order[next++]!
    flipNext(round, second)
    if (cardsMatch(cells[first]!, cells[second]!)) continue
    const firstFace = faceOf(cells[first]!)
    nextKnown[first] = knownAt[firstFace]!
    knownAt[firstFace] = first + 1
    const match = twinFace(cells[second]!)
    const known = knownAt[match]!
    if (known === 0) {
      const secondFace = faceOf(cells[second]!)
      nextKnown[second] = knownAt[secondFace]!
      knownAt[secondFace] = second + 1
    } else if (!isOver(round)) {
      knownAt[match] = nextKnown[known - 1]!
      flipNext(round, second)
      if (!isOver(round)) flipNext(round, known - 1)
    }
  }
}

/** Plays a round to its end with no memory at all: two random face-down cards each turn. */
export function playNoMemory(round: Round, stream: Stream): void {
  const down = cardCells(round.cells)
  while (!isOver(round)) {
    const i = draw(stream, down.length)
    let j = draw(stream, down.length - 1)
    if (j >= i) j++
    const one = down[i]!
    const other = down[j]!
    flipNext(round, one)
    if (isOver(round)) return
    flipNext(round, other)
    if (cardsMatch(round.cells[one]!, round.cells[other]!)) {
      down.splice(Math.max(i, j), 1)
      down.splice(Math.min(i, j), 1)
    }
  }
}
