import { NO_CARD, pairOf } from '../core/deck/card.ts'
import { howToPlay, type HowTo } from '../core/game/how-to.ts'
import type { Table } from './table.ts'

function howToOf({ game, round, settings, speech }: Table): HowTo {
  const related = round?.cells.some((card) => card !== NO_CARD && game.deck.pairs[pairOf(card)]!.b)
  return howToPlay(settings, Boolean(related), speech)
}

/** How the level on the table is played, line by line: in the game's own words, or told from its rules. */
export function howTo(table: Table): string[] {
  const { opening, own, turn, rest, onScreen } = howToOf(table)
  return [...(opening ? [opening] : []), ...(own ? [own] : [turn, ...rest, ...onScreen])]
}

/**
 * Notes what the player is told of the level on the table. Out: whether it has twins, limits or rules of a kind that no
 * level had before; a game that says in its own words how it is played has said so from the start.
 */
export function hearsOfNew(table: Table): boolean {
  if (!table.round) return false
  const { toldKinds } = table
  const { own, kinds } = howToOf(table)
  const isNew = toldKinds.size > 0 && !own && kinds.some((kind) => !toldKinds.has(kind))
  kinds.forEach((kind) => toldKinds.add(kind))
  return isNew
}
