import { NO_CARD, pairOf } from '../core/deck/card.ts'
import { howToPlay } from '../core/game/how-to.ts'
import type { Table } from './table.ts'

/** How the level on the table is played, line by line: in the game's own words, or told from its rules. */
export function howTo({ game, round, settings, speech }: Table): string[] {
  const related = round?.cells.some((card) => card !== NO_CARD && game.deck.pairs[pairOf(card)]!.b)
  const { opening, own, turn, rest, onScreen } = howToPlay(settings, Boolean(related), speech)
  return [...(opening ? [opening] : []), ...(own ? [own] : [turn, ...rest, ...onScreen])]
}
