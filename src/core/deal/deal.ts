import { cardOf, NO_CARD, type Card } from '../deck/card.ts'
import { selectPairs } from '../deck/select.ts'
import type { Pair } from '../game/game.ts'
import { BOUNDS, type Settings } from '../game/settings.ts'
import { good, type Result } from '../result.ts'
import { arrangedCells } from './arranged.ts'
import { openCells } from './cells.ts'
import { fillIsRandom, fillPairs } from './fill.ts'
import { streamOf } from './seed.ts'
import { shuffle } from './shuffle.ts'

/** The cells of a filled board, row by row; NO_CARD in a gap. */
export type Cells = readonly Card[]

/** Why a level cannot be dealt. */
export const DEAL_CODES = [
  'odd-board',
  'too-few-cards',
  'too-few-pairs',
  'no-pairs',
  'arranged-wrong',
  'way-not-dealt',
] as const
export type DealCode = (typeof DEAL_CODES)[number]
export type DealProblem = { code: DealCode; at: string; message: string }

/** A level made ready to deal: everything that does not depend on the seed is done. */
export type Dealer = { pairs: number; rows: number; columns: number; deal(seed: string): Cells }

const no = (code: DealCode, at: string, message: string): { ok: false; problem: DealProblem } => ({
  ok: false,
  problem: { code, at, message },
})

/** The two cards of a pair, in the order in which they are laid side by side. */
function twins(pairs: readonly Pair[], pair: number): [Card, Card] {
  const related = pairs[pair]!.b !== undefined
  return [cardOf(pair, 'a', related), cardOf(pair, related ? 'b' : 'a', related)]
}

/**
 * Makes a level ready to deal, or says why it cannot be dealt. `at` in the problem is "section.key".
 * The same pairs, settings and seed give the same cells everywhere.
 */
export function prepareDeal(
  pairs: readonly Pair[],
  settings: Pick<Settings, 'board' | 'fill' | 'deal'>,
): Result<Dealer, DealProblem> {
  const { board, fill, deal } = settings
  const open = openCells(board)
  const needed = open.length / 2
  if (open.length % 2 === 1)
    return no('odd-board', 'board', `${open.length} cells hold a card; twins need an even number`)
  if (open.length < BOUNDS.cards[0]) return no('too-few-cards', 'board', 'no cell holds a card')
  const made = { pairs: needed, rows: board.rows, columns: board.columns }

  if (deal.way === 'arranged') {
    const laid = arrangedCells(pairs, board, deal.arranged)
    if (!laid.ok) return no('arranged-wrong', laid.problem.at, laid.problem.message)
    return good({ ...made, deal: () => laid.value })
  }
  if (deal.way === 'apart' || deal.way === 'close')
    return no('way-not-dealt', 'deal.way', `this version does not deal "${deal.way}" yet`)

  const selection = selectPairs(pairs, fill.use)
  if (selection.length === 0) return no('no-pairs', 'fill.use', 'no pair of the deck is chosen')
  if (selection.length < needed && fill.repeat === 'never')
    return no(
      'too-few-pairs',
      'fill.repeat',
      `the board needs ${needed} pairs, and ${selection.length} are chosen`,
    )

  const cardsOf = (chosen: number[]): Card[] => chosen.flatMap((pair) => twins(pairs, pair))
  const random = fillIsRandom(selection.length, needed, fill)
  const fixed = random ? null : cardsOf(fillPairs(selection, needed, fill, streamOf('', 'picking')))
  const size = board.rows * board.columns
  const shuffled = deal.way === 'shuffled'
  return good({
    ...made,
    deal(seed) {
      const cards = fixed?.slice() ?? cardsOf(fillPairs(selection, needed, fill, streamOf(seed, 'picking')))
      if (shuffled) shuffle(cards, streamOf(seed, 'shuffling'))
      if (cards.length === size) return cards
      const cells = new Array<Card>(size).fill(NO_CARD)
      for (let i = 0; i < cards.length; i++) cells[open[i]!] = cards[i]!
      return cells
    },
  })
}
