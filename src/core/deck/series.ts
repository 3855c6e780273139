import { capitalized } from './picture-words.ts'
import type { Face, Pair } from './pair.ts'
import { newId } from '../settings/new-id.ts'
import { numberWord } from './number-word.ts'
import { FACE_INK, FACE_PAPER } from './face.ts'

/** Pairs that follow a pattern: they need no art. */
export const SERIES = ['letters', 'numbers', 'colours', 'dots', 'shapes'] as const
export type SeriesKind = (typeof SERIES)[number]

/** What the twin shows: the same, or something that a player has to know belongs to it. */
export const SERIES_TWINS: Record<SeriesKind, readonly string[]> = {
  letters: ['the same letter', 'its lower-case letter'],
  numbers: ['the same number', 'its word', 'as many dots'],
  colours: ['the same colour', 'its name'],
  dots: ['the same dots', 'their number'],
  shapes: ['the same shape', 'its name'],
}

/** Hues that differ in lightness too, so that most people can tell them apart. */
const COLOURS: [name: string, colour: string][] = [
  ['Ink', '#23243f'],
  ['Saffron', '#f0b429'],
  ['Lagoon', '#1f7f80'],
  ['Brick', '#a8322a'],
  ['Sky', '#8ecae6'],
  ['Plum', '#6a2c70'],
  ['Moss', '#5b8c2a'],
  ['Rose', '#f28ba8'],
  ['Chalk', '#f4f1e8'],
  ['Copper', '#c8702d'],
  ['Mint', '#a7e3c4'],
  ['Walnut', '#5c3d24'],
]
const polygon = (corners: number, radius: number, turn = 0, inner = 0): string =>
  Array.from({ length: inner ? corners * 2 : corners }, (_, i) => {
    const angle = -Math.PI / 2 + turn + (i * 2 * Math.PI) / (inner ? corners * 2 : corners)
    const r = inner && i % 2 ? inner : radius
    return `${(50 + r * Math.cos(angle)).toFixed(1)},${(50 + r * Math.sin(angle)).toFixed(1)}`
  }).join(' ')
const SHAPES: [name: string, svg: string][] = [
  ['Circle', '<circle cx="50" cy="50" r="38"/>'],
  ['Square', '<rect x="15" y="15" width="70" height="70"/>'],
  ['Triangle', `<polygon points="${polygon(3, 44)}"/>`],
  ['Star', `<polygon points="${polygon(5, 46, 0, 19)}"/>`],
  ['Hexagon', `<polygon points="${polygon(6, 42)}"/>`],
  ['Ring', '<path fill-rule="evenodd" d="M50 10a40 40 0 1 0 .1 0zM50 32a18 18 0 1 1-.1 0z"/>'],
  ['Cross', '<path d="M38 12h24v26h26v24H62v26H38V62H12V38h26z"/>'],
  ['Half moon', '<path d="M68 10a40 40 0 0 0 0 80z"/>'],
  ['Lozenge', `<polygon points="${polygon(4, 45)}"/>`],
  ['Arrow', '<path d="M8 38h44V16l40 34-40 34V62H8z"/>'],
  ['Drop', '<path d="M50 6c16 24 28 34 28 54a28 28 0 0 1-56 0c0-20 12-30 28-54z"/>'],
  ['Bar', '<rect x="8" y="36" width="84" height="28" rx="4"/>'],
]
/** The positions of dots on a face, on a grid of three by three. */
const DOTS: number[][] = [
  [4],
  [0, 8],
  [0, 4, 8],
  [0, 2, 6, 8],
  [0, 2, 4, 6, 8],
  [0, 2, 3, 5, 6, 8],
  [0, 2, 3, 4, 5, 6, 8],
  [0, 1, 2, 3, 5, 6, 7, 8],
  [0, 1, 2, 3, 4, 5, 6, 7, 8],
]

/** The most pairs that a series can make. */
export const SERIES_MOST: Record<SeriesKind, number> = {
  letters: 26,
  numbers: 200,
  colours: COLOURS.length,
  dots: DOTS.length,
  shapes: SHAPES.length,
}

const text = (words: string): Face => ({ kind: 'text', text: words })
/** A drawing as an image; core has no base64 of its own, so `encode` gives it. */
type Encode = (svg: string) => string
const drawing = (inside: string, alt: string, encode: Encode): Face => ({
  kind: 'image',
  src: encode(
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100"><g fill="${FACE_INK}">${inside}</g></svg>`,
  ),
  alt,
})
const dots = (count: number, encode: Encode): Face =>
  drawing(
    DOTS[count - 1]!.map(
      (place) => `<circle cx="${20 + (place % 3) * 30}" cy="${20 + Math.floor(place / 3) * 30}" r="11"/>`,
    ).join(''),
    count === 1 ? 'One dot' : `${capitalized(numberWord(count))} dots`,
    encode,
  )

/**
 * The pairs `from` to `to` (1-based) of a series. In: `twin`, which of SERIES_TWINS; `encode`, which makes a data URL
 * of an SVG; `taken`, ids already in use. Numbers with dots end at nine.
 */
export function seriesPairs(
  kind: SeriesKind,
  twin: number,
  from: number,
  to: number,
  encode: Encode,
  takenIds: readonly string[],
): Pair[] {
  const ids = [...takenIds]
  const most = kind === 'numbers' && twin === 2 ? DOTS.length : SERIES_MOST[kind]
  const pairs: Pair[] = []
  for (let n = Math.max(1, from); n <= Math.min(to, most); n++) {
    const { name, a, b } = member(kind, twin, n, encode)
    const id = newId(name, ids, kind)
    ids.push(id)
    pairs.push({ id, name, a, ...(b ? { b } : {}) })
  }
  return pairs
}

function member(
  kind: SeriesKind,
  twin: number,
  n: number,
  encode: Encode,
): { name: string; a: Face; b?: Face } {
  switch (kind) {
    case 'letters': {
      const letter = String.fromCharCode(64 + n)
      return { name: letter, a: text(letter), ...(twin ? { b: text(letter.toLowerCase()) } : {}) }
    }
    case 'numbers': {
      const b = twin === 1 ? text(numberWord(n)) : twin === 2 ? dots(n, encode) : null
      return { name: capitalized(numberWord(n)), a: text(String(n)), ...(b ? { b } : {}) }
    }
    case 'colours': {
      const [name, colour] = COLOURS[n - 1]!
      const swatch = {
        ...drawing(`<rect x="4" y="4" width="92" height="92" rx="12" fill="${colour}"/>`, name, encode),
        paper: FACE_PAPER,
      }
      return { name, a: swatch, ...(twin ? { b: text(name) } : {}) }
    }
    case 'dots':
      return { name: capitalized(numberWord(n)), a: dots(n, encode), ...(twin ? { b: text(String(n)) } : {}) }
    case 'shapes': {
      const [name, svg] = SHAPES[n - 1]!
      return { name, a: drawing(svg, name, encode), ...(twin ? { b: text(name) } : {}) }
    }
  }
}
