/**
 * How far a sound program may stray by chance in a test that plays games of one seed: over all seeds it fails at most
 * once in a million. With the variable OTHER_SEED set, the files of statistical tests run with other seeds.
 */

/** The chance of a false alarm, both sides together. */
const ALARM = 1e-6
/** A mean strays by more than so many of its standard errors with that chance (the normal distribution). */
export const MOST_ERRORS = 4.9

/** A seed of a test, another one for each OTHER_SEED. */
export const testSeed = (seed: string): string => seed + (process.env.OTHER_SEED ?? '')

/**
 * The fewest and the most successes to be expected. In: how many tries, and the chance of each. Source: the binomial
 * distribution, summed from both ends.
 */
export function countBounds(tries: number, chance: number): [fewest: number, most: number] {
  const chances: number[] = []
  let log = tries * Math.log1p(-chance)
  for (let count = 0; count <= tries; count++) {
    chances.push(Math.exp(log))
    log += Math.log((tries - count) / (count + 1)) + Math.log(chance / (1 - chance))
  }
  const end = (from: number, step: number): number => {
    let at = from
    for (let sum = chances[at]!; sum < ALARM / 2; sum += chances[at]!) at += step
    return at
  }
  return [end(0, 1), end(tries, -1)]
}
