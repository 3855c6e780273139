import type { Stream } from './seed.ts'

const TWO_32 = 4294967296

/**
 * A whole number from 0 to n − 1, each equally likely; n is 1 to 2²¹.
 * Source: D. Lemire, "Fast random integer generation in an interval", ACM TOMACS 29 (2019): the high word of
 * draw × n, drawn again while the low word is below 2³² mod n.
 */
export function draw(stream: Stream, n: number): number {
  let product = (stream.next() >>> 0) * n
  let low = product >>> 0
  if (low < n) {
    const uneven = TWO_32 % n
    while (low < uneven) {
      product = (stream.next() >>> 0) * n
      low = product >>> 0
    }
  }
  return (product - low) / TWO_32
}
