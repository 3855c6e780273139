import { xoroshiro128plusFromState } from 'pure-rand/generator/xoroshiro128plus'
import { LENGTHS } from '../settings/bounds.ts'
import { type SeedRule } from '../settings/settings.ts'
import { murmur128 } from './murmur.ts'

/** A source of 32-bit numbers. Each purpose has its own stream, so a change in one does not disturb the others. */
export type Stream = { next(): number }

/** The number of each purpose goes into the hash as its seed. docs/shuffle.md lists them. */
export const PURPOSES = {
  picking: 1,
  shuffling: 2,
  swaps: 3,
  choosing: 4,
  remembering: 5,
  pacing: 6,
} as const
export type Purpose = keyof typeof PURPOSES

/** The code points of a text in NFC. Plain ASCII, the common case, needs no normalising. */
function codePoints(text: string): number[] {
  const points: number[] = []
  for (let i = 0; i < text.length; i++) {
    const unit = text.charCodeAt(i)
    if (unit > 0x7f) return Array.from(text.normalize('NFC'), (character) => character.codePointAt(0)!)
    points.push(unit)
  }
  return points
}

/**
 * The stream of random numbers that a seed gives for one purpose: xoroshiro128+ started from the
 * 128-bit MurmurHash3 of the seed text in UTF-32LE. docs/shuffle.md has the full recipe with test vectors.
 */
export function streamOf(seed: string, purpose: Purpose): Stream {
  return xoroshiro128plusFromState(murmur128(codePoints(seed), PURPOSES[purpose]))
}

/** Whether a text can be a seed: 1 to 64 characters once it is in NFC. */
export function isSeed(text: string): boolean {
  const { length } = Array.from(text.normalize('NFC'))
  return length >= 1 && length <= LENGTHS.seed
}

/**
 * The seed of the next round under a seed rule. `now` is a time in ms since 1970 (UTC); `fresh` is any whole number
 * from outside that has not been used before, since core has no randomness of its own.
 */
export function nextSeed(rule: SeedRule, now: number, fresh: number): string {
  if (rule === 'daily') return new Date(now).toISOString().slice(0, 10)
  if (rule === 'every-play') return `play-${Math.abs(fresh).toString(36)}`
  return rule.fixed
}
