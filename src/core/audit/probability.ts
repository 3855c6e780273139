import jStat from 'jstat'

/**
 * Chances of the usual distributions, all from the regularised incomplete gamma function P(a, x) (jStat).
 * What is smaller than about 10⁻¹⁵ comes out as 0.
 */
const upper = (a: number, x: number): number => (x <= 0 ? 1 : Math.max(0, 1 - jStat.lowRegGamma(a, x)))

/** The chance of a chi-square at least so large. In: x from 0, degrees of freedom over 0, whole or not. */
export const chiSquareTail = (x: number, degrees: number): number => upper(degrees / 2, x / 2)

/** The chance that a count of rare things is at least k, with this mean. In: k whole from 0, mean from 0. */
export const poissonTail = (k: number, mean: number): number =>
  k <= 0 ? 1 : mean <= 0 ? 0 : jStat.lowRegGamma(k, mean)

/** The chance of a normal deviate at least so far from the middle, on either side; z in standard deviations. */
export const normalTails = (z: number): number => upper(0.5, (z * z) / 2)
