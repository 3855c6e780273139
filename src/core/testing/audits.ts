import { cardOf, type Card } from '../deck/card.ts'
import { streamOf, type Stream } from '../deal/seed.ts'
import { auditBoards, type Audit } from '../audit/audit.ts'
import type { ReadBoards } from '../files/boards-file.ts'
import type { Board } from '../board/cells.ts'
import { testSeed } from './chance.ts'

export const read = (board: Board, boards: Card[][], pairs: number): ReadBoards => ({
  format: 'tokens',
  board,
  guessed: false,
  boards,
  names: Array.from({ length: pairs }, (_, i) => `P${i}`),
  twinsKnown: true,
  problems: [],
  leftOut: 0,
})
export const deckOf = (pairs: number): number[] => Array.from({ length: pairs * 2 }, (_, i) => i >> 1)
export const six = { rows: 6, columns: 6, gaps: [] }

/** Boards dealt by a way of moving a deck of 18 pairs about, always from the same order. */
export function dealtBy(
  move: (deck: number[], stream: Stream, i: number) => void,
  seed: string,
  count: number,
): Audit {
  const stream = streamOf(testSeed(seed), 'shuffling')
  const boards = Array.from({ length: count }, (_, i) => {
    const deck = deckOf(18)
    move(deck, stream, i)
    return deck.map((pair) => cardOf(pair, 'a', false))
  })
  return auditBoards(read(six, boards, 18))
}
