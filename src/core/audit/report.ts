import { chiSquareAbove, chiSquareTail, normalTails, poissonTail, shiftAbove } from './probability.ts'
import { BESIDE, relationsOn, stepsOfClass } from './table.ts'
import { classCount, type Tally } from './tally.ts'
import { covarianceOfKinds, expectedKinds, squaredDistance, theoryOf } from './theory.ts'

/** What chance should have done: laid every card anywhere, or kept a rule of steps and favoured no pair. */
export type Claim = 'shuffled' | 'by-steps'

type Test = { name: 'places' | 'steps' | 'beside' | 'repeats'; p: number }
export type Verdict = 'fair' | 'doubtful' | 'unfair' | 'too-few'

export type Report = {
  deals: number
  verdict: Verdict
  /** the least p of all tests, times their number: how rarely fair deals look as odd as these */
  p: number
  tests: Test[]
  /** pair by place; `degrees` need not be whole */
  places: { statistic: number; degrees: number; p: number } | null
  /** matching cards side by side on a board, and over all boards the p of this number */
  beside: { seen: number; expected: number; p: number } | null
  /** by steps from 1 on: the share of matching cards so far apart, seen and expected */
  steps: { seen: number[]; expected: number[]; meanSeen: number; meanExpected: number; p: number } | null
  /** pairs of equal boards, seen and expected; `expected` is null where it is not known */
  repeats: { distinct: number; seen: number; expected: number | null; p: number | null }
  /** boards on which some card has no twin */
  untwinned: number
  /** the deviation of places, as a share, in the quadratic mean, that would have been seen 99 times in 100 */
  sharpness: number | null
  /** all cards are of one pair: there is nothing that could be favoured */
  single: boolean
}

/** Fair deals are called unfair less than once in 10⁵ audits, and doubtful less than once in 10³. */
const DOUBTFUL = 1e-3
export const UNFAIR = 1e-5
/** A test by chi-square wants so many expected in each of its counts. */
const LEAST_EXPECTED = 5
const LEAST_DEALS = 50

/**
 * Judges a tally. `logDeals` is the natural logarithm of the number of different deals there can be, or null if unknown.
 * Every test is against the exact mean and variance under the claim.
 */
export function reportOf(tally: Tally, claim: Claim, logDeals: number | null): Report {
  const size = tally.still.length
  const relations = relationsOn(tally.board)
  const theory = theoryOf(relations)
  const places = placesTest(tally, claim)
  const shuffled = claim === 'shuffled' && tally.matches > 0
  const beside = shuffled ? besideTest(tally, theory) : null
  const steps = tally.matches > 0 ? stepsTest(tally, theory, shuffled) : null
  const repeats = repeatsTest(tally, logDeals)
  const tests: Test[] = []
  if (places) tests.push({ name: 'places', p: places.p })
  if (shuffled && steps) tests.push({ name: 'steps', p: steps.p })
  if (beside) tests.push({ name: 'beside', p: beside.p })
  if (repeats.p !== null) tests.push({ name: 'repeats', p: repeats.p })
  const p = Math.min(1, tests.length * Math.min(1, ...tests.map((test) => test.p)))
  const single = tally.at.length > 0 && presentPairs(tally).length === 1
  const enough = tally.deals >= LEAST_DEALS && (places !== null || single)
  return {
    deals: tally.deals,
    verdict: verdictOf(p, enough, tally.untwinned > 0),
    p,
    tests,
    places: places && { statistic: places.statistic, degrees: places.degrees, p: places.p },
    beside,
    steps,
    repeats,
    untwinned: tally.untwinned,
    sharpness: places && size > 1 ? sharpnessOf(places, DOUBTFUL / tests.length) : null,
    single,
  }
}

/** What is said of boards whose oddest test has this p. Cards without a twin are unfair, however few boards there are. */
function verdictOf(p: number, isEnough: boolean, isUntwinned: boolean): Verdict {
  if (isUntwinned || p < UNFAIR) return 'unfair'
  if (!isEnough) return 'too-few'
  return p < DOUBTFUL ? 'doubtful' : 'fair'
}

/**
 * Pair by place. The sum of (seen − expected)² / expected is no plain chi-square here: a board holds one card at each place, and a
 * pair at two. Its mean and variance are worked out from the covariance of the counts, and a chi-square with these is taken (F. E. Satterthwaite, Biometrics
 * 2, 1946). For the same pairs on every board it is exact for many deals: (N − 1)/N × sum has (N − 1)(n − 1) degrees.
 * Pairs are put together where fewer than 5 are expected at a place. Null if there are too few boards even then.
 */
function placesTest(tally: Tally, claim: Claim): PlacesTest | null {
  const { deals, pairs } = tally
  if (claim === 'by-steps' && classCount(tally.classes) > 1) return placesWithinClasses(tally)
  const size = tally.still.length
  const totals = totalsOf(tally)
  const present = presentPairs(tally)
  const groups = groupsOf(present, totals, size)
  if (groups < 2) return null
  const groupOf = new Int32Array(pairs)
  present.forEach((pair, i) => (groupOf[pair] = Math.floor((i * groups) / present.length)))

  const seen = new Float64Array(size * groups)
  const total = new Float64Array(groups)
  for (const pair of present) {
    const group = groupOf[pair]!
    total[group]! += totals[pair]!
    for (let place = 0; place < size; place++)
      seen[place * groups + group]! += tally.at[place * pairs + pair]!
  }
  let sum = 0
  for (let place = 0; place < size; place++)
    for (let group = 0; group < groups; group++) {
      const expected = total[group]! / size
      sum += (seen[place * groups + group]! - expected) ** 2 / expected
    }

  // Cov of counts = A (places) ⊗ S (groups); S = Σ over boards of (their cards on the diagonal − their products / N)
  const s = new Float64Array(groups * groups)
  for (let group = 0; group < groups; group++) s[group * groups + group] = total[group]!
  for (const p of present)
    for (const q of present) {
      const product = tally.varied
        ? tally.products[p * pairs + q]!
        : tally.copies[p]! * tally.copies[q]! * deals
      s[groupOf[p]! * groups + groupOf[q]!]! -= product / size
    }
  let mean = 0
  let square = 0
  for (let g = 0; g < groups; g++)
    for (let h = 0; h < groups; h++) {
      const scaled = (s[g * groups + h]! * size) / Math.sqrt(total[g]! * total[h]!)
      if (g === h) mean += scaled
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

/** Pair by place, by how much its sum was scaled to make a chi-square, and how many cards went into it. */
type PlacesTest = NonNullable<Report['places']> & { scale: number; cards: number }

/** How many cards of each pair lay on all boards together, and which pairs lay there at all. */
function totalsOf({ at, pairs }: Tally): number[] {
  const totals = new Array<number>(pairs).fill(0)
  for (let i = 0; i < at.length; i++) totals[i % pairs]! += at[i]!
  return totals
}
const presentPairs = (tally: Tally): number[] =>
  totalsOf(tally).flatMap((total, pair) => (total ? [pair] : []))

/**
 * Pair by place where not all pairs are alike: each is compared with the others of its class only, at each place with what that class had there. On every board the pairs of a
 * class change places with each other by chance alone; so for n of them the covariance of two places is T / (n − 1) times (I − J/n), T the places that held the same pair less an nth of those that held the
 * class. T is taken from the boards that were sampled. Counts with fewer than 5 expected are left out. Null if nothing is left.
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
        const of = (own * size + one) * size + other
        const together = ((sampled.pairs[of]! - sampled.classes[of]! / n) * deals) / sampled.boards
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

/** In how many groups the pairs are put so that enough are expected of each at each place. */
function groupsOf(present: readonly number[], totals: readonly number[], size: number): number {
  const least = Math.min(...present.map((pair) => totals[pair]!)) / size
  if (least >= LEAST_EXPECTED) return present.length
  const all = present.reduce((sum, pair) => sum + totals[pair]!, 0) / size
  return Math.min(present.length, Math.floor(all / (2 * LEAST_EXPECTED)))
}

/**
 * The trace of A², A the covariance of places. In a shuffle A = (I − J/N) / (N − 1). Under a rule of steps it follows from how often two
 * places hold the same pair, r: A = (r − κ) / (N (1 − κ)), κ the mean of r, since given who is whose twin every pair is as likely as any.
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

function besideTest(tally: Tally, theory: ReturnType<typeof theoryOf>): Report['beside'] {
  const expected = expectedKinds(theory, tally)[BESIDE]!
  const variance = covarianceOfKinds(theory, tally)[BESIDE]![BESIDE]!
  const seen = tally.kinds[BESIDE]!
  const p = variance > 0 ? normalTails((seen - expected) / Math.sqrt(variance)) : 1
  return { seen: seen / tally.deals, expected: expected / tally.deals, p }
}

/** How far matching cards lie apart. Classes with few expected are put together, from the far end. */
function stepsTest(tally: Tally, theory: ReturnType<typeof theoryOf>, tested: boolean): Report['steps'] {
  const expected = expectedKinds(theory, tally)
  const most = Math.max(...expected.map((_, kind) => stepsOfClass(kind)))
  const share = (counts: ArrayLike<number>): number[] => {
    const byStep = new Array<number>(most).fill(0)
    for (let kind = 0; kind < counts.length; kind++)
      byStep[stepsOfClass(kind) - 1]! += counts[kind]! / tally.matches
    return byStep
  }
  const mean = (shares: number[]): number => shares.reduce((sum, part, i) => sum + part * (i + 1), 0)
  const seen = share(tally.kinds)
  const wanted = share(expected)
  const result = { seen, expected: wanted, meanSeen: mean(seen), meanExpected: mean(wanted), p: 1 }
  if (!tested) return result
  const covariance = covarianceOfKinds(theory, tally)
  const deviation = expected.map((count, kind) => tally.kinds[kind]! - count)
  const usable = expected.flatMap((count, kind) => (count >= LEAST_EXPECTED ? [kind] : []))
  const [distance, rank] = squaredDistance(
    usable.map((kind) => deviation[kind]!),
    usable.map((k) => usable.map((l) => covariance[k]![l]!)),
  )
  return { ...result, p: rank ? chiSquareTail(distance, rank) : 1 }
}

/**
 * Equal boards. With K equally likely deals, pairs of equal ones among D number D (D − 1) / 2K on average; when there are many of
 * each kind, their spread is a chi-square over all K. Only too many speak against a shuffle.
 */
function repeatsTest(tally: Tally, logDeals: number | null): Report['repeats'] {
  const { deals } = tally
  const prints = tally.prints.slice(0, deals).sort()
  let distinct = 0
  let seen = 0
  for (let i = 0, run = 0; i < deals; i++) {
    run = i > 0 && prints[i] === prints[i - 1] ? run + 1 : 0
    if (run === 0) distinct++
    seen += run
  }
  if (logDeals === null) return { distinct, seen, expected: null, p: null }
  const kinds = Math.exp(logDeals)
  const expected = (deals * (deals - 1)) / 2 / kinds
  // where the pairs change, some fills may be likelier than others, and then their deals are too
  if (kinds < 1.5 || (tally.varied && expected > 0.01)) return { distinct, seen, expected, p: null }
  if (deals >= LEAST_EXPECTED * kinds) {
    const spread = (kinds * (2 * seen + deals)) / deals - deals
    return { distinct, seen, expected, p: chiSquareTail(spread, Math.round(kinds) - 1) }
  }
  return { distinct, seen, expected, p: poissonTail(seen, expected) }
}

/**
 * The quadratic mean of the deviations of places, as a share of what is expected, with which this test finds 99 of 100 sets of deals doubtful: they lift its sum by
 * cards × their square, and its chance must fall below `threshold`.
 */
function sharpnessOf({ degrees, scale, cards }: PlacesTest, threshold: number): number {
  const shift = shiftAbove(chiSquareAbove(threshold, degrees), degrees, 0.99)
  return Math.sqrt(shift / scale / cards)
}
