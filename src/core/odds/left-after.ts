import { streamOf } from '../deal/seed.ts'
import type { Memory } from '../settings/mind.ts'
import { happens } from './chance.ts'

/** How many cards are followed: the shares are accurate to about 0.02. */
const CARDS = 2000

/**
 * How much is left of a card that was just missed, after 1, 2, … `turns` turns in which two new cards are missed each time, the first its own: the share of CARDS seeded cases in
 * which its trace is still there. The board plays no part in it, nor a first look.
 */
export function leftAfter({ notice, hold, fade }: Memory, turns: number): number[] {
  const stream = streamOf('left', 'remembering')
  const left = new Array<number>(turns).fill(0)
  for (let card = 0; card < CARDS; card++) {
    if (!happens(stream, notice)) continue
    /** traces that are fresher than the card's own */
    let fresher = 0
    for (let turn = 0; turn < turns; turn++) {
      // half of the cards that share its own turn come after it
      const others = turn === 0 ? card % 2 : 2
      for (let other = 0; other < others; other++) fresher += Number(happens(stream, notice))
      if (hold !== null && fresher >= hold) break
      let kept = 0
      for (let one = 0; one < fresher; one++) kept += Number(!happens(stream, fade))
      if (happens(stream, fade)) break
      fresher = kept
      left[turn]!++
    }
  }
  return left.map((count) => count / CARDS)
}
