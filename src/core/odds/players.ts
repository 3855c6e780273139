import { draw } from '../deal/draw.ts'
import type { Stream } from '../deal/seed.ts'
import { cardsMatch, NO_CARD, pairOf } from '../deck/card.ts'
import { apply, isWaitingForButton } from '../play/machine.ts'
import { isOver, NEVER, type Round } from '../play/round.ts'

type Press = { at: number; do: 'press'; cell: number }

/*
 * Simulated players. They drive the machine like anyone else: they press, and read what lies face up.
 * They leave each look time be and press at its end, so a game takes the time that its rules ask for.
 */

/** Flips `cell` as soon as that is possible, turning missed cards back first where the rules leave it to the player. */
function flipNext(round: Round, input: Press, cell: number): void {
  if (round.phase === 'judged') {
    if (isWaitingForButton(round)) apply(round, { at: round.at, do: 'turn-back' })
    else if (round.dueAt !== NEVER) input.at = round.dueAt
  }
  const { flips } = round
  input.cell = cell
  apply(round, input)
  // the press may have been used up by turning missed cards back
  if (round.flips === flips && !isOver(round)) apply(round, input)
}

const firstPress = (round: Round): Press => ({
  at: round.phase === 'first-look' ? round.dueAt : round.at,
  do: 'press',
  cell: 0,
})

/**
 * Plays a round to its end with a perfect memory: flip an unseen card; if its twin is known take it, else flip the next
 * unseen card. In: a fresh round of a level without repeated pairs. Unseen cards are taken in order of their cells,
 * which is as good as any on a shuffled board.
 */
export function playPerfectMemory(round: Round): void {
  const { cells } = round
  const size = cells.length
  /** by pair: the cell of its card that has been seen and not yet taken, or −1 */
  const seenAt: number[] = []
  for (let cell = 0; cell < size; cell++) if (cells[cell] !== NO_CARD) seenAt[pairOf(cells[cell]!)] = -1
  const input = firstPress(round)
  let next = 0
  const unseen = (): number => {
    while (cells[next] === NO_CARD) next++
    return next++
  }
  /** two cards known to be twins, found when the second of a miss belonged to a known one */
  let pendingA = -1
  let pendingB = -1
  while (!isOver(round)) {
    if (pendingA >= 0) {
      flipNext(round, input, pendingA)
      flipNext(round, input, pendingB)
      pendingA = -1
      continue
    }
    const first = unseen()
    flipNext(round, input, first)
    if (isOver(round)) return
    const pair = pairOf(cells[first]!)
    const twin = seenAt[pair]!
    if (twin >= 0) {
      flipNext(round, input, twin)
      continue
    }
    const second = unseen()
    flipNext(round, input, second)
    const other = pairOf(cells[second]!)
    if (other === pair) continue
    seenAt[pair] = first
    if (seenAt[other]! >= 0) {
      pendingA = second
      pendingB = seenAt[other]!
    } else seenAt[other] = second
  }
}

/** Plays a round to its end with no memory at all: two random face-down cards each turn. */
export function playNoMemory(round: Round, stream: Stream): void {
  const input = firstPress(round)
  const down: number[] = []
  for (let cell = 0; cell < round.cells.length; cell++) if (round.cells[cell] !== NO_CARD) down.push(cell)
  while (!isOver(round)) {
    const i = draw(stream, down.length)
    let j = draw(stream, down.length - 1)
    if (j >= i) j++
    const one = down[i]!
    const other = down[j]!
    flipNext(round, input, one)
    flipNext(round, input, other)
    if (cardsMatch(round.cells[one]!, round.cells[other]!)) {
      down.splice(Math.max(i, j), 1)
      down.splice(Math.min(i, j), 1)
    }
  }
}
