import type { Stream } from '../deal/seed.ts'

const TWO_32 = 2 ** 32

/** The numbers of a stream are cut into so many equal parts; of these, so many at either end are not read from a table. */
const PARTS = 4096
const PART = TWO_32 / PARTS
const EDGE = 16

/**
 * The quantiles of the standard normal distribution at k / PARTS, for k from EDGE to PARTS − EDGE: what solves z′ = √(2π) e^(z²/2) from the middle, where z is 0, by Runge and Kutta's steps of fourth order.
 * Source: G. Steinbrecher and W. T. Shaw, "Quantile mechanics", European Journal of Applied Mathematics 19 (2008).
 */
function normalQuantiles(): Float64Array {
  const slope = (z: number): number => Math.sqrt(2 * Math.PI) * Math.exp((z * z) / 2)
  const step = 1 / PARTS
  const quantiles = new Float64Array(PARTS + 1)
  let z = 0
  for (let k = 1; k <= PARTS / 2 - EDGE; k++) {
    const a = slope(z)
    const b = slope(z + (a * step) / 2)
    const c = slope(z + (b * step) / 2)
    const d = slope(z + c * step)
    z += ((a + 2 * b + 2 * c + d) * step) / 6
    quantiles[PARTS / 2 + k] = z
    quantiles[PARTS / 2 - k] = -z
  }
  return quantiles
}

/** A draw from the standard normal distribution that is beyond `from`. Source: G. Marsaglia, "Generating a variable from the tail of the normal distribution", Technometrics 6 (1964). */
function beyond(from: number, stream: Stream): number {
  const exponential = (): number => -Math.log(((stream.next() >>> 0) + 1) / TWO_32)
  for (;;) {
    const x = exponential() / from
    if (2 * exponential() > x * x) return from + x
  }
}

/** By how much a press is quicker or slower than its median: e^(spread × z), z from the standard normal distribution, and e^(spread × z) at each of its quantiles. */
export type Pace = { spread: number; end: number; factors: Float64Array }

let quantiles: Float64Array | null = null
const known = new Map<number, Pace>()
const KNOWN_AT_MOST = 50

/** The pace of a spread (0 or more). It is made once. */
export function paceOf(spread: number): Pace {
  const before = known.get(spread)
  if (before) return before
  quantiles ??= normalQuantiles()
  const pace = {
    spread,
    end: quantiles[PARTS - EDGE]!,
    factors: quantiles.map((z) => Math.exp(spread * z)),
  }
  if (known.size === KNOWN_AT_MOST) known.clear()
  known.set(spread, pace)
  return pace
}

/** A draw of e^(spread × z). One number of the stream says where among the quantiles z lies; beyond the last of them, two more a try do. */
export function drawFactor({ spread, end, factors }: Pace, stream: Stream): number {
  const drawn = (stream.next() >>> 0) / PART
  const part = Math.floor(drawn)
  if (part < EDGE) return Math.exp(-spread * beyond(end, stream))
  if (part >= PARTS - EDGE) return Math.exp(spread * beyond(end, stream))
  const low = factors[part]!
  return low + (factors[part + 1]! - low) * (drawn - part)
}
