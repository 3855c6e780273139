import {
  converter,
  filterDeficiencyDeuter,
  filterDeficiencyProt,
  filterDeficiencyTrit,
  type Rgb,
} from 'culori'

/**
 * Kinds of colour vision: common vision, and the three in which one kind of cone is missing. After G. M. Machado,
 * M. M. Oliveira, L. A. F. Fernandes, IEEE TVCG 15 (2009), as implemented in culori.
 */
export const VISIONS = ['everyone', 'protan', 'deutan', 'tritan'] as const
export type Vision = (typeof VISIONS)[number]

const FILTERS: Record<Vision, (colour: Rgb) => Rgb> = {
  everyone: (colour) => colour,
  protan: filterDeficiencyProt(1) as (colour: Rgb) => Rgb,
  deutan: filterDeficiencyDeuter(1) as (colour: Rgb) => Rgb,
  tritan: filterDeficiencyTrit(1) as (colour: Rgb) => Rgb,
}

/** The three rows of the matrix by which a vision mixes red, green and blue (of sRGB, 0 to 1). */
export function visionMatrix(vision: Vision): number[][] {
  const columns = [
    { r: 1, g: 0, b: 0 },
    { r: 0, g: 1, b: 0 },
    { r: 0, g: 0, b: 1 },
  ].map((colour) => FILTERS[vision]({ mode: 'rgb', ...colour }))
  return (['r', 'g', 'b'] as const).map((channel) => columns.map((column) => column[channel]))
}

const toOklab = converter('oklab')
const clamp = (x: number): number => Math.min(1, Math.max(0, x))

/**
 * A colour as a vision sees it, in OKLab: lightness 0 to 1, then its two axes, about −0.4 to 0.4. In: 0 to 255 each.
 */
export function seenColour(
  vision: Vision,
  red: number,
  green: number,
  blue: number,
): [number, number, number] {
  const { r, g, b } = FILTERS[vision]({ mode: 'rgb', r: red / 255, g: green / 255, b: blue / 255 })
  const lab = toOklab({ mode: 'rgb', r: clamp(r), g: clamp(g), b: clamp(b) })
  return [lab.l, lab.a, lab.b]
}
