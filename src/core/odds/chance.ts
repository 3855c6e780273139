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
 * Two draws from the standard normal distribution, of two numbers u and v of the stream, put into `into`: r cos φ and r sin φ, with r = √(−2 ln((u + 1) / 2³²)) and φ = 2π v / 2³².
 * Source: G. E. P. Box and M. E. Muller, "A Note on the Generation of Random Normal Deviates", Annals of Mathematical Statistics 29 (1958).
 */
export function twoNormals(stream: Stream, into: Float64Array): void {
  const u = ((stream.next() >>> 0) + 1) / TWO_32
  const v = (stream.next() >>> 0) / TWO_32
  const r = Math.sqrt(-2 * Math.log(u))
  into[0] = r * Math.cos(2 * Math.PI * v)
  into[1] = r * Math.sin(2 * Math.PI * v)
}
