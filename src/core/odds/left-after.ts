import { cardOf } from '../deck/card.ts'
import type { Mind } from '../settings/mind.ts'
import { mindStreams } from './chance.ts'
import { MindPlayer } from './player-mind.ts'

/** How many cards are followed: the shares are accurate to about 0.03. */
const CARDS = 1000

/**
 * How much is left of a card that was just missed, after 1, 2, … `turns` turns in which two new cards are missed each
 * time, the first its own: the share of CARDS seeded cases in which its trace is still there. The board plays no part
 * in it, nor a first look.
 */
export function leftAfter(mind: Mind, turns: number): number[] {
  // no two of these cards match
  const cells = Array.from({ length: 2 * turns }, (_, pair) => cardOf(pair, 'a', false))
  const streams = mindStreams('left', 1)
  const counts = new Array<number>(turns).fill(0)
  for (let card = 0; card < CARDS; card++) {
    const player = new MindPlayer(mind, cells, cells.length, streams)
    // the card is the first of its own turn in one half of the cases, and the second in the other
    const cell = card % 2
    for (let turn = 0; turn < turns; turn++) {
      player.settled(2 * turn, 2 * turn + 1, false)
      if (player.traces.isBare(cell)) break
      counts[turn]!++
    }
  }
  return counts.map((count) => count / CARDS)
}
