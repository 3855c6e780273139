import { leastForPlaces, placesTest, presentPairs, type PlacesTest } from './places.ts'
import {
  chiSquareAbove,
  chiSquareTail,
  LEAST_EXPECTED,
  normalTails,
  poissonTail,
  shiftAbove,
} from './probability.ts'
import { BESIDE, relationsOn, stepsOfClass } from './table.ts'
import type { Tally } from './tally.ts'
import { covarianceOfKinds, expectedKinds, squaredDistance, theoryOf, type Claim } from './theory.ts'

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
  /** by steps from 1 on: the share of matching cards that far apart, seen and expected */
  steps: { seen: number[]; expected: number[]; meanSeen: number; meanExpected: number; p: number } | null
  /** pairs of equal boards, seen and expected; `expected` is null if unknown */
  repeats: { distinct: number; seen: number; expected: number | null; p: number | null }
  /** boards on which some card has no twin */
  untwinned: number
  /** the root mean square deviation of places, as a share, that would have been seen 99 times in 100 */
  sharpness: number | null
  /** all cards are of one pair: nothing could be favoured */
  single: boolean
  /** the least number of boards that allow a verdict */
  least: number
}

/** Fair deals are called unfair less than once in 10⁵ audits, and doubtful less than once in 10³. */
const DOUBTFUL = 1e-3
export const UNFAIR = 1e-5
const LEAST_DEALS = 50

/**
 * Judges a tally. `logDeals` is the natural logarithm of the number of different deals there can be, or null if
 * unknown. Every test is against the exact mean and variance under the claim.
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
    least: Math.max(LEAST_DEALS, leastForPlaces(tally)),
  }
}

/**
 * The verdict for boards whose oddest test has this p. Cards without a twin are unfair, however few boards there are.
 */
function verdictOf(p: number, isEnough: boolean, isUntwinned: boolean): Verdict {
  if (isUntwinned || p < UNFAIR) return 'unfair'
  if (!isEnough) return 'too-few'
  return p < DOUBTFUL ? 'doubtful' : 'fair'
}

function besideTest(tally: Tally, theory: ReturnType<typeof theoryOf>): Report['beside'] {
  const expected = expectedKinds(theory, tally)[BESIDE]!
  const variance = covarianceOfKinds(theory, tally)[BESIDE]![BESIDE]!
  const seen = tally.kinds[BESIDE]!
  const p = variance > 0 ? normalTails((seen - expected) / Math.sqrt(variance)) : 1
  return { seen: seen / tally.deals, expected: expected / tally.deals, p }
}

/** How far apart matching cards lie. Classes with few expected are combined, from the far end. */
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
  const observedShare = share(tally.kinds)
  const target = share(expected)
  const result = {
    seen: observedShare,
    expected: target,
    meanSeen: mean(observedShare),
    meanExpected: mean(target),
    p: 1,
  }
  if (!tested) return result
  const covariance = covarianceOfKinds(theory, tally)
  const deviation = expected.map((count, kind) => tally.kinds[kind]! - count)
  const usable = expected.flatMap((count, kind) => (count >= LEAST_EXPECTED ? [kind] : []))
  const [distance, rank] = squaredDistance(
    usable.map((kind) => deviation[kind]!),
    usable.map((kind) => usable.map((other) => covariance[kind]![other]!)),
  )
  return { ...result, p: rank ? chiSquareTail(distance, rank) : 1 }
}

/**
 * Equal boards. With K equally likely deals, pairs of equal ones among D number D (D − 1) / 2K on average; when there
 * are many of each kind, their spread is a chi-square over all K. Only too many are evidence against a shuffle.
 */
function repeatsTest(tally: Tally, logDeals: number | null): Report['repeats'] {
  const { deals } = tally
  const prints = tally.prints.slice(0, deals).sort()
  let distinct = 0
  let observations = 0
  for (let i = 0, run = 0; i < deals; i++) {
    run = i > 0 && prints[i] === prints[i - 1] ? run + 1 : 0
    if (run === 0) distinct++
    observations += run
  }
  if (logDeals === null) return { distinct, seen: observations, expected: null, p: null }
  const kinds = Math.exp(logDeals)
  const expected = (deals * (deals - 1)) / 2 / kinds
  // where the pairs vary, some fills may be likelier than others, and then so are their deals
  if (kinds < 1.5 || (tally.varied && expected > 0.01))
    return { distinct, seen: observations, expected, p: null }
  if (deals >= LEAST_EXPECTED * kinds) {
    const spread = (kinds * (2 * observations + deals)) / deals - deals
    return { distinct, seen: observations, expected, p: chiSquareTail(spread, Math.round(kinds) - 1) }
  }
  return { distinct, seen: observations, expected, p: poissonTail(observations, expected) }
}

/**
 * The root mean square of the deviations of places, as a share of what is expected, with which this test finds 99 of
 * 100 sets of deals doubtful: they raise its sum by cards × their square, and its chance must fall below `threshold`.
 */
function sharpnessOf({ degrees, scale, cards }: PlacesTest, threshold: number): number {
  const shift = shiftAbove(chiSquareAbove(threshold, degrees), degrees, 0.99)
  return Math.sqrt(shift / scale / cards)
}
