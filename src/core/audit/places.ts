import { chiSquareTail, LEAST_EXPECTED } from './probability.ts'
import { classCount, type Tally } from './tally.ts'
import type { Claim } from './theory.ts'

/** How often a group of pairs is expected at a place, and how many groups are needed for that. */
const EXPECTED_IN_GROUP = 2 * LEAST_EXPECTED
const FEWEST_GROUPS = 2

/**
 * Pair by place. The sum of (seen − expected)² / expected is no plain chi-square here: a board holds one card at each
 * place, and a pair at two. Its mean and variance follow from the covariance of the counts, and a chi-square with these
 * is used (F. E. Satterthwaite, Biometrics 2, 1946). For the same pairs on every board it is exact for many deals: (N −
 * 1)/N × sum has (N − 1)(n − 1) degrees. Pairs are grouped where fewer than 5 are expected at a place. Null if there
 * are too few boards even then.
 */
export function placesTest(tally: Tally, claim: Claim): PlacesTest | null {
  const { deals, pairs } = tally
  if (claim === 'by-steps' && classCount(tally.classes) > 1) return placesWithinClasses(tally)
  const size = tally.still.length
  const totals = totalsOf(tally)
  const present = presentPairs(tally)
  const groups = groupsOf(present, totals, size)
  if (groups < FEWEST_GROUPS) return null
  const groupOf = new Int32Array(pairs)
  present.forEach((pair, i) => (groupOf[pair] = Math.floor((i * groups) / present.length)))

  const counts = new Float64Array(size * groups)
  const total = new Float64Array(groups)
  for (const pair of present) {
    const group = groupOf[pair]!
    total[group]! += totals[pair]!
    for (let place = 0; place < size; place++)
      counts[place * groups + group]! += tally.at[place * pairs + pair]!
  }
  let sum = 0
  for (let place = 0; place < size; place++)
    for (let group = 0; group < groups; group++) {
      const expected = total[group]! / size
      sum += (counts[place * groups + group]! - expected) ** 2 / expected
    }

  const between = covarianceOfGroups(tally, present, groupOf, total)
  let mean = 0
  let square = 0
  for (let one = 0; one < groups; one++)
    for (let other = 0; other < groups; other++) {
      const scaled = (between[one * groups + other]! * size) / Math.sqrt(total[one]! * total[other]!)
      if (one === other) mean += scaled
      square += scaled * scaled
    }
  const variance = 2 * square * squareOfPlaces(tally, claim)
  const degrees = (2 * mean * mean) / variance
  const statistic = (sum * degrees) / mean
  return {
    statistic,
    degrees,
    p: chiSquareTail(statistic, degrees),
    scale: degrees / mean,
    cards: deals * size,
  }
}

/**
 * The covariance of counts is A (of places) ⊗ S (of groups of pairs). Out: S, the sum over boards of their cards on the
 * diagonal minus their products / N. `total`: the cards of each group.
 */
function covarianceOfGroups(
  { copies, deals, pairs, products, still, varied }: Tally,
  present: readonly number[],
  groupOf: Int32Array,
  total: Float64Array,
): Float64Array {
  const groups = total.length
  const between = new Float64Array(groups * groups)
  for (let group = 0; group < groups; group++) between[group * groups + group] = total[group]!
  for (const one of present)
    for (const other of present) {
      const product = varied ? products[one * pairs + other]! : copies[one]! * copies[other]! * deals
      between[groupOf[one]! * groups + groupOf[other]!]! -= product / still.length
    }
  return between
}

/** Pair by place, with the factor that made its sum a chi-square, and how many cards went into it. */
export type PlacesTest = { statistic: number; degrees: number; p: number; scale: number; cards: number }

/** How many cards of each pair were on all boards together, and which pairs appeared at all. */
function totalsOf({ at, pairs }: Tally): number[] {
  const totals = new Array<number>(pairs).fill(0)
  for (let i = 0; i < at.length; i++) totals[i % pairs]! += at[i]!
  return totals
}
export const presentPairs = (tally: Tally): number[] =>
  totalsOf(tally).flatMap((total, pair) => (total ? [pair] : []))

/**
 * Pair by place where not all pairs are alike: each is compared only with the others of its class, at each place with
 * what that class had there. On every board the pairs of a class trade places with each other by chance alone; so for n
 * of them the covariance of two places is T / (n − 1) times (I − J/n), T the places that held the same pair minus an
 * nth of those that held the class. T is taken from the boards that were sampled. Counts with fewer than 5 expected are
 * left out. Null if nothing is left.
 */
function placesWithinClasses(tally: Tally): PlacesTest | null {
  const { at, classes, deals, pairs, sampled, still } = tally
  const size = still.length
  const present = presentPairs(tally)
  let [sum, mean, variance, cards] = [0, 0, 0, 0]
  for (let own = 0; own < classCount(classes); own++) {
    const members = present.filter((pair) => classes[pair] === own)
    const n = members.length
    if (n < 2) continue
    const places: number[] = []
    const expected: number[] = []
    for (let place = 0; place < size; place++) {
      const count = members.reduce((all, pair) => all + at[place * pairs + pair]!, 0)
      if (count / n < LEAST_EXPECTED) continue
      places.push(place)
      expected.push(count / n)
      cards += count
      mean += n - 1
      for (const pair of members) sum += (at[place * pairs + pair]! - count / n) ** 2 / (count / n)
    }
    let square = 0
    places.forEach((one, i) =>
      places.forEach((other, j) => {
        const index = (own * size + one) * size + other
        const together = ((sampled.pairs[index]! - sampled.classes[index]! / n) * deals) / sampled.boards
        square += together ** 2 / (expected[i]! * expected[j]!)
      }),
    )
    variance += (2 * square) / (n - 1)
  }
  if (mean === 0 || variance <= 0) return null
  const degrees = (2 * mean * mean) / variance
  const statistic = (sum * degrees) / mean
  return { statistic, degrees, p: chiSquareTail(statistic, degrees), scale: degrees / mean, cards }
}

/** How many groups of pairs give enough expected counts for each at each place. */
function groupsOf(present: readonly number[], totals: readonly number[], size: number): number {
  const least = Math.min(...present.map((pair) => totals[pair]!)) / size
  if (least >= LEAST_EXPECTED) return present.length
  const all = present.reduce((sum, pair) => sum + totals[pair]!, 0) / size
  return Math.min(present.length, Math.floor(all / EXPECTED_IN_GROUP))
}

/** The least number of boards like those of a tally that the test of places needs. In: a tally of one board or more. */
export function leastForPlaces(tally: Tally): number {
  const cards = totalsOf(tally).reduce((sum, total) => sum + total, 0) / tally.deals
  return Math.ceil((FEWEST_GROUPS * EXPECTED_IN_GROUP * tally.still.length) / cards)
}

/**
 * The trace of A², A the covariance of places. In a shuffle A = (I − J/N) / (N − 1). Under a rule of steps it follows
 * from how often two places hold the same pair, r: A = (r − κ) / (N (1 − κ)), κ the mean of r, since given who is whose
 * twin every pair is equally likely.
 */
function squareOfPlaces({ together, deals, still }: Tally, claim: Claim): number {
  const size = still.length
  if (claim === 'shuffled') return 1 / (size - 1)
  let mean = deals * size
  for (const count of together) mean += 2 * count
  mean /= deals * size * size
  let square = size * (1 - mean) ** 2
  for (let i = 0; i < size; i++)
    for (let j = i + 1; j < size; j++) square += 2 * (together[i * size + j]! / deals - mean) ** 2
  return square / (size * (1 - mean)) ** 2
}
