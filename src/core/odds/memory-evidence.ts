import type { Cells } from '../deal/deal.ts'
import { cardsMatch, NO_CARD } from '../deck/card.ts'
import type { PlayedGame } from '../play/record.ts'
import { replay } from '../play/replay.ts'
import type { Settings } from '../settings/settings.ts'
import { readyAfter } from './play-minds.ts'

/**
 * A turn as it was played: the two cells, whether they matched, and which of them had been seen before. `twin`: the
 * cell of a twin of the first card that was on the board and had been seen, `ago` turns before; −1 for none. `alone`:
 * cells whose card was turned up and back before this turn, one by one.
 */
export type TurnEvidence = {
  first: number
  second: number
  isMatch: boolean
  firstSeen: boolean
  secondSeen: boolean
  twin: number
  ago: number
  alone: readonly number[]
}
/** What a played game shows about its player's memory: how many cards there were, and its turns. */
export type GameEvidence = { cards: number; cells: number; turns: TurnEvidence[] }
/** What played games show about their player, and the ms before first and second cards. */
export type MemoryEvidence = { games: GameEvidence[]; first: number[]; second: number[] }

/**
 * Reads a played game. Waits are counted from when the board was ready; those with a pause in them are left out. After
 * a first look no turn shows what was remembered, since all cards had been seen: such a game has none. In: the level's
 * resolved settings, the deal's cells, and what was played.
 */
export function evidenceOf(
  rules: Settings,
  cells: Cells,
  game: Pick<PlayedGame, 'inputs' | 'until'>,
): MemoryEvidence {
  const evidence: MemoryEvidence = { games: [], first: [], second: [] }
  const turns: TurnEvidence[] = []
  /** by cell: the turn in which its card was last seen, 0 for never or taken */
  const lastSeen = new Array<number>(cells.length).fill(0)
  /** since when the player could press; null after a pause */
  let since: number | null = rules.turn.firstLook
  let isUp = false
  let alone: number[] = []
  for (const event of replay(rules, cells, game).events!) {
    if (event.kind === 'flip') {
      if (since !== null && event.at > since) evidence[isUp ? 'second' : 'first'].push(event.at - since)
      since = event.at
      isUp = !isUp
    } else if (event.kind === 'turned-back') {
      lastSeen[event.cell] = turns.length + 1
      alone.push(event.cell)
      since = event.at
      isUp = false
    } else if (event.kind === 'paused') since = null
    else if (event.kind === 'match' || event.kind === 'miss') {
      const { first, second, turn } = event
      const isMatch = event.kind === 'match'
      const twin = twinSeen(cells, lastSeen, first)
      const ago = twin < 0 ? 0 : turn - lastSeen[twin]!
      turns.push({
        first,
        second,
        isMatch,
        firstSeen: lastSeen[first]! > 0,
        secondSeen: lastSeen[second]! > 0,
        twin,
        ago,
        alone,
      })
      alone = []
      lastSeen[first] = lastSeen[second] = isMatch ? 0 : turn
      since = event.at + readyAfter(rules, isMatch)
    }
  }
  const cards = cells.filter((card) => card !== NO_CARD).length
  if (rules.turn.firstLook === 0) evidence.games.push({ cards, cells: cells.length, turns })
  return evidence
}

/** The most recently seen twin of this cell's card; −1 for none. */
function twinSeen(cells: Cells, lastSeen: readonly number[], cell: number): number {
  let last = -1
  cells.forEach((card, other) => {
    if (other === cell || card === NO_CARD || lastSeen[other] === 0 || !cardsMatch(cells[cell]!, card)) return
    if (last < 0 || lastSeen[other]! > lastSeen[last]!) last = other
  })
  return last
}

/** What several games show, together. */
export const joinEvidence = (all: readonly MemoryEvidence[]): MemoryEvidence => ({
  games: all.flatMap(({ games }) => games),
  first: all.flatMap(({ first }) => first),
  second: all.flatMap(({ second }) => second),
})

/**
 * A turn that shows whether a card was remembered: its first card had not been seen before, while a twin of it had. A
 * first card that had been seen may have been chosen for its twin.
 */
export const tellsMemory = ({ firstSeen, twin }: TurnEvidence): boolean => !firstSeen && twin >= 0
