import { streamOf, type Stream } from '../deal/seed.ts'

const TWO_32 = 2 ** 32

/** Where a simulated player's chance comes from: one stream for what it chooses, one for what it remembers, one for when it presses. */
export type MindStreams = { choosing: Stream; remembering: Stream; pacing: Stream }

/** The streams of a simulated player. In: the seed text of all games, the number of the game from 1, and the player's seat from 0. */
export function mindStreams(seed: string, game: number, seat = 0): MindStreams {
  const text = `${seed} ${game} ${seat}`
  return {
    choosing: streamOf(text, 'choosing'),
    remembering: streamOf(text, 'remembering'),
    pacing: streamOf(text, 'pacing'),
  }
}

/** Whether something with this chance (0 to 1) happens: a number of the stream divided by 2³² is below it. Nothing is drawn for 0 and 1. */
export const happens = (stream: Stream, chance: number): boolean =>
  chance >= 1 || (chance > 0 && stream.next() >>> 0 < chance * TWO_32)

/**
 * How many things in a row are spared, where each is lost with this chance on its own: from 0 to `most`, which are all. One number of the stream says it: the first `k` are spared if the number, divided by
 * 2³², is below 1 − (1 − chance)^(k + 1). Source: L. Devroye, "Non-Uniform Random Variate Generation" (1986), III.2.1, the geometric distribution by inversion.
 */
export function spared(stream: Stream, chance: number, most: number): number {
  const drawn = TWO_32 - (stream.next() >>> 0)
  let left = TWO_32
  for (let kept = 0; kept < most; kept++) {
    left *= 1 - chance
    if (drawn > left) return kept
  }
  return most
}
