/** The longest rest, in ms. */
const LONGEST_REST = 250

/**
 * How long to wait after an edit before work starts on it, in ms, so that the work does not slow the next edit. In: the
 * least wait, and how long the same work took last time, both in ms. Work that took long waits that long, up to 250 ms.
 */
export const debounceTime = (least: number, took: number): number =>
  Math.max(least, Math.min(LONGEST_REST, took))
