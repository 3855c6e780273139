import type { Relations } from './table.ts'

/** What chance should have done: place every card anywhere, or keep a rule of steps and favour no pair. */
export type Claim = 'shuffled' | 'by-steps'

/**
 * What chance gives when N cards are laid on N places, every arrangement equally likely: for each class of places
 * (table.ts), how many matching cards lie that way to each other. Exact for any board and any repeats: two graphs, of
 * matching cards and of places of a class, are laid on each other at random, and their common edges counted (moments
 * after N. Mantel, "The detection of disease clustering and a generalized regression approach", Cancer Research 27,
 * 1967).
 */
export type Theory = {
  /** pairs of places of each class */
  places: number[]
  /** for two classes, chains of three places, the first two of one class and the last two of the other */
  chains: number[][]
  size: number
}

export function theoryOf({ size, kinds, kind }: Relations): Theory {
  const degree = Array.from({ length: kinds }, () => new Array<number>(size).fill(0))
  for (let i = 0; i < size; i++)
    for (let j = 0; j < size; j++) if (i !== j) degree[kind[i * size + j]!]![i]!++
  const places = degree.map((degrees) => degrees.reduce((a, b) => a + b, 0) / 2)
  const chains = degree.map((one, k) =>
    degree.map((other, l) => one.reduce((sum, d, v) => sum + d * (other[v]! - (k === l ? 1 : 0)), 0)),
  )
  return { places, chains, size }
}

/**
 * How cards match: `matches`, pairs of cards that match; `forks`, ordered pairs of these that share a card;
 * `squares`, `matches` squared. Summed over boards, since all that follows is linear in them.
 */
export type Matches = { matches: number; forks: number; squares: number }

/** The expected number of matching cards in each class. */
export function expectedKinds({ places, size }: Theory, { matches }: Matches): number[] {
  const all = (size * (size - 1)) / 2
  return places.map((count) => (matches * count) / all)
}

/** The covariance of these numbers. */
export function covarianceOfKinds(theory: Theory, { matches, forks, squares }: Matches): number[][] {
  const { places, chains, size: n } = theory
  const all = (n * (n - 1)) / 2
  const three = n * (n - 1) * (n - 2)
  const four = three * (n - 3)
  const apart = squares - matches - forks
  return places.map((g, k) =>
    places.map((h, l) => {
      const same = k === l ? (matches * g) / all : 0
      const forked = three ? (forks * chains[k]![l]!) / three : 0
      const free = g * h - (k === l ? g : 0) - chains[k]![l]!
      return same + forked + (four ? (apart * 4 * free) / four : 0) - (squares * g * h) / (all * all)
    }),
  )
}

/**
 * How far a vector lies from its mean, measured by its covariance: dᵀ Σ⁻¹ d, and the rank of Σ, which is the degrees of
 * freedom of this as a chi-square. Directions in which nothing can vary are skipped. By Gaussian elimination.
 */
export function squaredDistance(
  deviation: readonly number[],
  covariance: readonly number[][],
): [number, number] {
  const size = deviation.length
  const d = [...deviation]
  const s = covariance.map((row) => [...row])
  let sum = 0
  let rank = 0
  for (let k = 0; k < size; k++) {
    const remainder = s[k]![k]!
    if (remainder <= 1e-9 * Math.max(1e-300, covariance[k]![k]!)) continue
    sum += (d[k]! * d[k]!) / remainder
    rank++
    for (let i = k + 1; i < size; i++) {
      const share = s[i]![k]! / remainder
      d[i]! -= share * d[k]!
      for (let j = k + 1; j < size; j++) s[i]![j]! -= share * s[k]![j]!
    }
  }
  return [sum, rank]
}
