/**
 * How values are spread over an axis that is cut into equal bins: how many are in each bin, smoothed or not. Values
 * beyond an end count in the bin at that end.
 */
export function countBins(
  values: ArrayLike<number>,
  [low, high]: readonly [number, number],
  bins: number,
): Float64Array {
  const counts = new Float64Array(bins)
  for (let i = 0; i < values.length; i++) {
    const bin = Math.floor(((values[i]! - low) / (high - low)) * bins)
    counts[Math.max(0, Math.min(bins - 1, bin))]!++
  }
  return counts
}

/**
 * How wide a normal kernel is for this many values, in their unit: 0.9 · min(s, interquartile range / 1.34) · n^(−1/5).
 * Source: B. W. Silverman, "Density Estimation for Statistics and Data Analysis", 1986, page 48. 0 if they do not
 * differ.
 */
export function kernelWidth(values: ArrayLike<number>): number {
  const inOrder = Float64Array.from(values).sort()
  const count = inOrder.length
  if (count < 2) return 0
  const mean = inOrder.reduce((sum, value) => sum + value, 0) / count
  const deviation = Math.sqrt(inOrder.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (count - 1))
  const quartiles = quantile(inOrder, 0.75) - quantile(inOrder, 0.25)
  const spread = quartiles > 0 ? Math.min(deviation, quartiles / 1.34) : deviation
  return 0.9 * spread * count ** -0.2
}

/** The value below which a share of sorted values lies, interpolated between two of them. */
export function quantile(inOrder: ArrayLike<number>, share: number): number {
  const place = share * (inOrder.length - 1)
  const below = Math.floor(place)
  const above = Math.min(inOrder.length - 1, below + 1)
  return inOrder[below]! + (place - below) * (inOrder[above]! - inOrder[below]!)
}

/**
 * Counts of bins spread by a normal kernel, `width` bins wide (its standard deviation); what would fall past an end
 * stays inside.
 */
export function smooth(counts: Float64Array, width: number): Float64Array {
  if (width < 0.3) return counts
  const reach = Math.ceil(3 * width)
  const kernel = Array.from({ length: 2 * reach + 1 }, (_, i) =>
    Math.exp(-((i - reach) ** 2) / (2 * width ** 2)),
  )
  const smoothed = new Float64Array(counts.length)
  counts.forEach((count, bin) => {
    if (count === 0) return
    const [from, to] = [Math.max(0, bin - reach), Math.min(counts.length - 1, bin + reach)]
    let weight = 0
    for (let at = from; at <= to; at++) weight += kernel[at - bin + reach]!
    for (let at = from; at <= to; at++) smoothed[at]! += (count * kernel[at - bin + reach]!) / weight
  })
  return smoothed
}
