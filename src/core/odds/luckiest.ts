import type { Cells } from '../deal/deal.ts'
import { cardsMatch, NO_CARD, pairOf } from '../deck/card.ts'
import { BOUNDS } from '../settings/bounds.ts'
import { type Settings } from '../settings/settings.ts'
import { apply, isWaitingForButton } from '../play/machine.ts'
import { isOver, NEVER, type Round } from '../play/round.ts'
import { newRound } from '../play/new-round.ts'

/** Two cells that are pressed in one turn. */
export type Turn = readonly [number, number]

/** The matching cards of a deal in twos, in the order in which their second cards lie on the board. */
export function matchesOf(cells: Cells): Turn[] {
  const twins: Turn[] = []
  const waiting = new Map<number, number[]>()
  cells.forEach((card, cell) => {
    if (card === NO_CARD) return
    const same = waiting.get(pairOf(card)) ?? []
    const twin = same.findIndex((other) => cardsMatch(card, cells[other]!))
    if (twin < 0) waiting.set(pairOf(card), [...same, cell])
    else twins.push([same.splice(twin, 1)[0]!, cell])
  })
  return twins
}

/** Plays these turns as fast as anyone could: every press in the first millisecond in which it counts. */
export function playFastest(settings: Settings, cells: Cells, turns: Iterable<Turn>): Round {
  const round = newRound(settings, cells, false)
  const skips = settings.turn.duringLook !== 'wait'
  for (const turn of turns) {
    if (isWaitingForButton(round)) apply(round, { at: round.at, do: 'turn-back' })
    const waits = round.phase === 'first-look' || (round.phase === 'judged' && !skips)
    const at = waits && round.dueAt !== NEVER ? round.dueAt : round.at
    for (const cell of turn) {
      const { flips } = round
      apply(round, { at, do: 'press', cell })
      // the press may only have ended the look
      if (round.flips === flips && !isOver(round)) apply(round, { at, do: 'press', cell })
    }
  }
  return round
}

/** Plays the level as luckily and fast as anyone could: every turn a match. Nobody needs fewer turns or less time. */
export const playLuckiest = (settings: Settings, cells: Cells): Round =>
  playFastest(settings, cells, matchesOf(cells))

/** If even the luckiest player loses, nobody can win. Out: the limit that loses it, or null. */
export function luckiestLoss(settings: Settings, cells: Cells): 'turns' | 'clock' | null {
  const { lostBy } = playLuckiest(settings, cells)
  return lostBy === 'turns' || lostBy === 'clock' ? lostBy : null
}

/**
 * The shortest clock, in whole seconds as ms, with which the luckiest player still wins; null if no clock is long
 * enough.
 */
export function shortestClock(settings: Settings, cells: Cells): number | null {
  const wins = (seconds: number): boolean =>
    playLuckiest({ ...settings, clock: { ...settings.clock, limit: seconds * 1000 } }, cells).phase === 'won'
  let [low, high] = BOUNDS.limit.map((ms) => ms / 1000) as [number, number]
  if (!wins(high)) return null
  while (low < high) {
    const middle = Math.floor((low + high) / 2)
    if (wins(middle)) high = middle
    else low = middle + 1
  }
  return low * 1000
}
