import jStat from 'jstat'

/** A chi-square test needs this many expected in each of its counts. */
export const LEAST_EXPECTED = 5

/**
 * Chances of the usual distributions, all from the regularised incomplete gamma function P(a, x) (jStat).
 * What is smaller than about 10⁻¹⁵ comes out as 0.
 */
const upper = (a: number, x: number): number => (x <= 0 ? 1 : Math.max(0, 1 - jStat.lowRegGamma(a, x)))

/** The chance of a chi-square at least this large. In: x from 0, degrees of freedom over 0, whole or not. */
export const chiSquareTail = (x: number, degrees: number): number => upper(degrees / 2, x / 2)

/** The chance that a count of rare things is at least k, with this mean. In: k whole from 0, mean from 0. */
export const poissonTail = (k: number, mean: number): number =>
  k <= 0 ? 1 : mean <= 0 ? 0 : jStat.lowRegGamma(k, mean)

/** The chance of a normal deviate at least this far from the middle, on either side; z in standard deviations. */
export const normalTails = (z: number): number => upper(0.5, (z * z) / 2)

/**
 * The x that a chi-square exceeds with this chance, by bisection. In: a chance from 10⁻¹² to 1, degrees of freedom over
 * 0.
 */
export function chiSquareAbove(chance: number, degrees: number): number {
  return halved((x) => chiSquareTail(x, degrees) > chance)
}

/**
 * The chance that a non-central chi-square is at least this large: its spread and skew differ. In: x from 0, degrees
 * over 0, `shift` (non-centrality) from 0. A chi-square with the same mean, variance and skewness stands for it (E. S.
 * Pearson, Biometrika 46, 1959; J. P. Imhof, Biometrika 48, 1961); off by less than 10⁻³ from 3 degrees on.
 */
export function shiftedChiSquareTail(x: number, degrees: number, shift: number): number {
  const [mean, square, cube] = [degrees + shift, degrees + 2 * shift, degrees + 3 * shift]
  const like = square ** 3 / cube ** 2
  return chiSquareTail(like + (x - mean) * Math.sqrt(like / square), like)
}

/** How much a chi-square must be shifted to exceed x with this chance. */
export const shiftAbove = (x: number, degrees: number, chance: number): number =>
  halved((shift) => shiftedChiSquareTail(x, degrees, shift) < chance)

/** Where a condition that holds for small numbers from 0 stops holding, to 9 figures. */
function halved(holds: (x: number) => boolean): number {
  let [low, high] = [0, 1]
  while (holds(high)) [low, high] = [high, high * 2]
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2
    if (holds(middle)) low = middle
    else high = middle
  }
  return high
}
