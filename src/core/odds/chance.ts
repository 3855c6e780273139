import { streamOf, type Stream } from '../deal/seed.ts'

const TWO_32 = 2 ** 32

/** The randomness of a simulated player: one stream for its choices, one for its memory, one for its pace. */
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

/** The next number of a stream divided by 2³²: from 0 to below 1. */
const share = (stream: Stream): number => (stream.next() >>> 0) / TWO_32

/** Whether something with this chance (0 to 1) happens: the share that is drawn is below it. Nothing is drawn for 0 and 1. */
export const happens = (stream: Stream, chance: number): boolean =>
  chance >= 1 || (chance > 0 && share(stream) < chance)

/**
 * How many things in a row are spared, if each is lost with this chance on its own: from 0 to `most`, which is all of them. Nothing is drawn for an empty row, nor for chances of 0 and 1; else one draw decides: the least k for which the share that is drawn is not below
 * (1 − chance)^(k + 1). Source: L. Devroye, "Non-Uniform Random Variate Generation" (1986), X.2, the geometric distribution by inversion.
 */
export function spared(stream: Stream, chance: number, most: number): number {
  if (most === 0 || chance === 1) return 0
  if (chance === 0) return most
  const drawn = share(stream)
  let left = 1
  for (let kept = 0; kept < most; kept++) {
    left *= 1 - chance
    if (drawn >= left) return kept
  }
  return most
}

/** Of the ratio of uniforms: the range of its second number, and the bounds within which a ratio is accepted, or rejected, without a logarithm. */
const REACH = Math.sqrt(8 / Math.E)
const SURE = 4 * Math.E ** 0.25
const UNSURE = 4 * Math.E ** -1.35

/**
 * A draw from the standard normal distribution, with two numbers of the stream a try.
 * Source: A. J. Kinderman and J. F. Monahan, "Computer Generation of Random Variables Using the Ratio of Uniform Deviates", ACM TOMS 3 (1977); D. E. Knuth, "The Art of Computer Programming" 2, 3.4.1, algorithm R.
 */
export function normal(stream: Stream): number {
  for (;;) {
    const u = 1 - share(stream)
    const z = (REACH * (share(stream) - 0.5)) / u
    const square = z * z
    if (square <= 5 - SURE * u || (square < UNSURE / u + 1.4 && square <= -4 * Math.log(u))) return z
  }
}
