import { draw } from '../deal/draw.ts'
import type { Stream } from '../deal/seed.ts'
import { cardCells, cardsMatch, faceIndex, twinFace } from '../deck/card.ts'
import { apply, isWaitingForButton, press } from '../play/machine.ts'
import { isOver, NEVER, type Round } from '../play/round.ts'

/*
 * Another way to play with a perfect memory, and with none, for tests to compare the minds with, and for benchmarks as
 * the bare work. They drive the machine like anyone else: they press, and read the cards that are face up. They wait
 * for each look time and press at its end, so a game takes the time that its rules ask for.
 */

/**
 * Flips `cell` as soon as that is possible, turning missed cards back first where the rules leave it to the player.
 * After the end it does nothing.
 */
function flipNext(round: Round, cell: number): void {
  if (isOver(round)) return
  const { flips } = round
  if (round.dueAt !== NEVER) press(round, round.dueAt, cell)
  else {
    if (isWaitingForButton(round)) apply(round, { at: round.at, do: 'turn-back' })
    press(round, round.at, cell)
  }
  // the press may have been used up for turning missed cards back
  if (round.flips === flips && !isOver(round)) press(round, round.at, cell)
}

/**
 * Plays a round to its end with a perfect memory: flip an unseen card; if a card that matches it is known take that,
 * else flip another unseen card; a match that becomes known is taken next. In: a fresh round, and the cells of its
 * cards in the order in which unseen ones are flipped. That order must be random, unless the board is shuffled; then
 * any will do.
 */
export function playPerfectMemory(round: Round, order: readonly number[]): void {
  const { cells } = round
  /** by face: 1 more than a cell known to show it, or 0 */
  const knownAt = round.seenFaces.slice()
  /** by cell: where pairs are repeated, 1 more than the next cell known to show the same face, or 0 */
  const nextKnown = round.seenIn.slice()
  let next = 0
  while (!isOver(round)) {
    const first = order[next++]!
    flipNext(round, first)
    const card = cells[first]!
    const twin = take(knownAt, nextKnown, twinFace(card))
    if (twin >= 0) {
      flipNext(round, twin)
      continue
    }
    // no match is known, so one of the unseen cards is one
    const second = order[next++]!
    flipNext(round, second)
    const other = cells[second]!
    if (cardsMatch(card, other)) continue
    know(knownAt, nextKnown, faceIndex(card), first)
    const match = take(knownAt, nextKnown, twinFace(other))
    if (match < 0) know(knownAt, nextKnown, faceIndex(other), second)
    else {
      flipNext(round, second)
      flipNext(round, match)
    }
  }
}
function know(knownAt: number[], nextKnown: number[], face: number, cell: number): void {
  nextKnown[cell] = knownAt[face]!
  knownAt[face] = cell + 1
}
/** Takes a cell known to show a face. Out: the cell, or −1. */
function take(knownAt: number[], nextKnown: number[], face: number): number {
  const match = knownAt[face]! - 1
  if (match >= 0) knownAt[face] = nextKnown[match]!
  return match
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
    flipNext(round, other)
    if (cardsMatch(round.cells[one]!, round.cells[other]!)) {
      down.splice(Math.max(i, j), 1)
      down.splice(Math.min(i, j), 1)
    }
  }
}
