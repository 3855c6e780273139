import { seenColour, VISIONS, type Vision } from './vision.ts'

/** Faces are compared at this many px a side, in windows of this many. */
export const GRID = 20
const WINDOW = 4
const ACROSS = GRID / WINDOW
const WINDOWS = ACROSS * ACROSS
const CHANNELS = 3
const PART = WINDOW * WINDOW * CHANNELS

/** From this likeness on, two faces count as too much alike, unless the author sets another value. */
export const TOO_ALIKE = 0.8
/** Pairs of faces less alike than this are not reported at all. */
export const WORTH_TELLING = 0.5

/** Colours this far apart in OKLab look different at a glance; 0.02 can just be told apart side by side. */
const OTHER_COLOUR = 0.15
/** What counts as no contrast, squared. */
const FLAT = 0.003

/** One face as a vision sees it: for each window its mean colour, its contrast, and the window without its mean. */
export type Appearance = { means: Float32Array; contrast: Float64Array; rest: Float32Array }

/** A face as every vision sees it. In: RGBA bytes of GRID × GRID px, opaque. */
export function looksOf(pixels: Uint8ClampedArray | Uint8Array): Record<Vision, Appearance> {
  return Object.fromEntries(VISIONS.map((vision) => [vision, lookOf(pixels, vision)])) as Record<
    Vision,
    Appearance
  >
}

const cache = new Map<string, Map<number, [number, number, number]>>()
const REMEMBERED = 50_000

/** The colour as `seenColour` gives it, cached, since drawings have few colours. */
function remembered(vision: Vision, red: number, green: number, blue: number): [number, number, number] {
  const cached = cache.get(vision) ?? new Map<number, [number, number, number]>()
  cache.set(vision, cached)
  const key = (red << 16) | (green << 8) | blue
  let colour = cached.get(key)
  if (!colour) {
    if (cached.size > REMEMBERED) cached.clear()
    colour = seenColour(vision, red, green, blue)
    cached.set(key, colour)
  }
  return colour
}

function lookOf(pixels: Uint8ClampedArray | Uint8Array, vision: Vision): Appearance {
  const means = new Float32Array(WINDOWS * CHANNELS)
  // in full precision, so that a face compared with itself gives exactly 1
  const contrast = new Float64Array(WINDOWS)
  const rest = new Float32Array(WINDOWS * PART)
  for (let w = 0; w < WINDOWS; w++) {
    const top = Math.floor(w / ACROSS) * WINDOW
    const x0 = (w % ACROSS) * WINDOW
    for (let i = 0; i < WINDOW * WINDOW; i++) {
      const at = ((top + Math.floor(i / WINDOW)) * GRID + x0 + (i % WINDOW)) * 4
      const colour = remembered(vision, pixels[at]!, pixels[at + 1]!, pixels[at + 2]!)
      for (let c = 0; c < CHANNELS; c++) {
        rest[w * PART + i * CHANNELS + c] = colour[c]!
        means[w * CHANNELS + c]! += colour[c]! / (WINDOW * WINDOW)
      }
    }
    for (let i = 0; i < PART; i++) {
      rest[w * PART + i]! -= means[w * CHANNELS + (i % CHANNELS)]!
      contrast[w]! += rest[w * PART + i]! * rest[w * PART + i]!
    }
    contrast[w]! /= WINDOW * WINDOW
  }
  return { means, contrast, rest }
}

/**
 * How much alike two faces look to one vision, 0 to 1; 1 for the same face. In each window the structural similarity of
 * Z. Wang et al. (IEEE Trans. Image Processing 13, 2004), over lightness and both colour axes together, times how near
 * the mean colours are; windows count by how much there is to see in either, so that empty paper does not make faces
 * alike.
 */
export function likeness(one: Appearance, other: Appearance): number {
  let sum = 0
  let weight = 0
  for (let w = 0; w < WINDOWS; w++) {
    let apart = 0
    for (let c = 0; c < CHANNELS; c++) {
      const d = one.means[w * CHANNELS + c]! - other.means[w * CHANNELS + c]!
      apart += d * d
    }
    let common = 0
    for (let i = w * PART; i < (w + 1) * PART; i++) common += one.rest[i]! * other.rest[i]!
    common /= WINDOW * WINDOW
    const contrasts = one.contrast[w]! + other.contrast[w]!
    const form = Math.max(0, (2 * common + FLAT) / (contrasts + FLAT))
    const colour = Math.exp(-apart / (OTHER_COLOUR * OTHER_COLOUR))
    const counts = contrasts + apart + 1e-5
    sum += counts * form * colour
    weight += counts
  }
  return sum / weight
}

/** How much alike two faces look to the vision that tells them apart least, 0 to 1. */
export const mostLikeness = (one: Record<Vision, Appearance>, other: Record<Vision, Appearance>): number =>
  Math.max(...VISIONS.map((vision) => likeness(one[vision], other[vision])))
