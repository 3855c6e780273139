import { streamOf, type Stream } from '../deal/seed.ts'

const TWO_32 = 2 ** 32

/** The randomness of a simulated player: one stream for its choices, one for its memory, one for its pace. */
export type MindStreams = { choosing: Stream; remembering: Stream; pacing: Stream }

/**
 * The streams of a simulated player. In: the seed text of all games, the number of the game from 1, and the player's
 * seat from 0.
 */
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

/**
 * Whether something with this chance (0 to 1) happens: the share that is drawn is below it. Nothing is drawn for 0 and
 * 1.
 */
export const happens = (stream: Stream, chance: number): boolean =>
  chance >= 1 || (chance > 0 && share(stream) < chance)

/**
 * How many things in a row are spared, if each is lost with this chance on its own: from 0 to `most`, which is all of
 * them. Nothing is drawn for an empty row, nor for chances of 0 and 1; else one draw decides: the least k for which the
 * share that is drawn is not below (1 − chance)^(k + 1). Source: L. Devroye, "Non-Uniform Random Variate Generation"
 * (1986), X.2, the geometric distribution by inversion.
 */
export function spared(stream: Stream, chance: number, most: number): number {
  if (most === 0 || chance === 1) return 0
  if (chance === 0) return most
  const sample = share(stream)
  let rest = 1
  for (let count = 0; count < most; count++) {
    rest *= 1 - chance
    if (sample >= rest) return count
  }
  return most
}

/**
 * The value below which a share (u + ½) / 2³² of the standard normal distribution lies, for a number u of 32 bits (0 to
 * 2³² − 1); right to 7 digits. Source: M. J. Wichura, "Algorithm AS 241: The percentage points of the normal
 * distribution", Applied Statistics 37 (1988), PPND7, with coefficients of 8 digits; its third range begins beyond what
 * 32 bits reach.
 */
export function normalAt(share: number): number {
  const chance = (share + 0.5) / TWO_32
  const fromMiddle = chance - 0.5
  if (Math.abs(fromMiddle) <= 0.425) {
    const r = 0.180625 - fromMiddle * fromMiddle
    const over = ((59.109375 * r + 159.29113) * r + 50.434272) * r + 3.3871327
    return (fromMiddle * over) / (((67.187564 * r + 78.757758) * r + 17.895169) * r + 1)
  }
  const r = Math.sqrt(-Math.log(Math.min(chance, 1 - chance))) - 1.6
  const over = ((0.17023821 * r + 1.3067285) * r + 2.7568154) * r + 1.4234373
  return (Math.sign(fromMiddle) * over) / ((0.12021133 * r + 0.73700164) * r + 1)
}
