import { NO_CARD, pairOf, sideOf, type Side } from '../../core/deck/card.ts'
import { prepareDeal } from '../../core/deal/deal.ts'
import type { Game } from '../../core/game/game.ts'
import { bad, good, type Result } from '../../core/result.ts'
import { findLevel, resolveLevel } from '../../core/settings/levels.ts'
import { kitCardSize } from '../kit/cards.ts'

/** Sizes of paper, upright, in mm. */
export const PAPERS = {
  a4: { name: 'A4', width: 210, height: 297 },
  letter: { name: 'Letter', width: 215.9, height: 279.4 },
} as const
export type Paper = keyof typeof PAPERS

/**
 * What an author chooses: the paper, the width of a card in mm, and the level whose cards are printed, or null for
 * every pair of the deck.
 */
export type PaperOptions = { paper: Paper; width: number; level: string | null }
export const PAPER_BOUNDS = { width: [20, 150] } as const
export const PAPER_DEFAULTS: PaperOptions = { paper: 'a4', width: 55, level: null }

/**
 * mm: kept free at every edge, for what a printer cannot reach and for the marks; between cards; printed beyond a cut;
 * and of a mark, its distance from the cards and its length.
 */
export const EDGES = { margin: 12, gap: 4, bleed: 2, markOff: 3, mark: 5 } as const

/** A card to print: its pair's place in the deck, and the side. */
export type PrintedCard = { pair: number; side: Side }

/** Where cards lie on a sheet, in mm from its upper left corner. */
export type SheetLayout = {
  columns: number
  rows: number
  card: { width: number; height: number }
  left: number
  top: number
}

/** Where cards of a game lie on a sheet: as many as fit, in its middle. Wrong: not even one fits. */
export function sheetLayout(game: Pick<Game, 'house'>, { paper, width }: PaperOptions): Result<SheetLayout> {
  const sheet = PAPERS[paper]
  const shape = kitCardSize(game, 1000)
  const card = { width, height: (width * shape.height) / shape.width }
  const fit = (room: number, one: number): number =>
    Math.floor((room - 2 * EDGES.margin + EDGES.gap) / (one + EDGES.gap))
  const [columns, rows] = [fit(sheet.width, card.width), fit(sheet.height, card.height)]
  if (columns < 1 || rows < 1)
    return bad(
      'width',
      `a card of ${card.width} × ${card.height.toFixed(0)} mm does not fit on ${sheet.name}; make it smaller`,
    )
  const lengthOf = (count: number, one: number): number => count * (one + EDGES.gap) - EDGES.gap
  return good({
    columns,
    rows,
    card,
    left: (sheet.width - lengthOf(columns, card.width)) / 2,
    top: (sheet.height - lengthOf(rows, card.height)) / 2,
  })
}

/** The seed of the deal whose cards are printed. */
const SEED = 'paper'

/**
 * The cards that a level needs, as one of its deals has them, pair by pair; or two of every pair in the deck. Wrong:
 * there is no such level, or it cannot be dealt.
 */
export function cardsToPrint(game: Game, level: string | null): Result<PrintedCard[]> {
  const { pairs } = game.deck
  if (level === null)
    return good(
      pairs.flatMap(({ b }, pair) => [
        { pair, side: 'a' as const },
        { pair, side: b ? ('b' as const) : 'a' },
      ]),
    )
  const match = findLevel(game, level)
  if (!match) return bad('level', 'there is no such level')
  const dealer = prepareDeal(pairs, resolveLevel(game, match))
  if (!dealer.ok) return bad(match.name, dealer.problem.message)
  const cards = dealer.value.deal(SEED).filter((card) => card !== NO_CARD)
  return good(cards.sort((a, b) => a - b).map((card) => ({ pair: pairOf(card), side: sideOf(card) })))
}

/** How many sheets of cards there are. */
export const sheetCount = (cards: number, { columns, rows }: SheetLayout): number =>
  Math.ceil(cards / (columns * rows))
