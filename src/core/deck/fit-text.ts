/** Rough widths in em, good enough to fit a card; measured text would need the font to be loaded first. */
const WIDE = /[\u1100-\u11ff\u2e80-\uffdc\u{1f000}-\u{3ffff}MWmw@%—]/u
const NARROW = /[ \u00a0.•,:;'!|iIjlt·()[\]-]/

/** The width of a text in em, estimated. */
function textWidth(text: string): number {
  let width = 0
  for (const letter of text) width += WIDE.test(letter) ? 1 : NARROW.test(letter) ? 0.36 : 0.6
  return width
}

/**
 * The number of lines in which a text is largest on a card, and how wide its widest line is then, in em.
 * In: any text; a card's width divided by its height. Lines break at ordinary spaces only.
 */
export function fitText(text: string, ratio: number): { lines: number; width: number } {
  const words = text.split(/[ \t\n]+/).filter(Boolean)
  const widths = words.map(textWidth)
  const space = 0.36
  let best = { lines: 1, width: Math.max(0.7, textWidth(words.join(' '))) }
  // the type is as large as the tighter of width and height allows
  const size = (fit: { lines: number; width: number }): number =>
    Math.min(ratio / fit.width, 1 / (fit.lines * LINE_HEIGHT))
  for (let lines = 2; lines <= Math.min(words.length, 5); lines++) {
    const fit = breakInto(widths, space, lines)
    if (size(fit) > size(best)) best = fit
  }
  return best
}

/**
 * How much of a card its text may take: across, down, and the height limit for a single letter; and the line spacing,
 * in em.
 */
const SHARE = { across: 0.82, down: 0.8, tallest: 0.46 }
export const LINE_HEIGHT = 1.2

/**
 * The type size of a face's text, as a share of the card's width and as one of its height; the smaller of the two
 * applies.
 */
export function textSize(text: string, ratio: number): { byWidth: number; byHeight: number; lines: number } {
  const { lines, width } = fitText(text, ratio)
  return {
    byWidth: SHARE.across / width,
    byHeight: Math.min(SHARE.down / (lines * LINE_HEIGHT), SHARE.tallest),
    lines,
  }
}

/** The narrowest way to break words of these widths into at most this many lines, by trying each useful width. */
function breakInto(widths: number[], space: number, lines: number): { lines: number; width: number } {
  let low = Math.max(...widths)
  let high = widths.reduce((a, b) => a + b + space, 0)
  const widthUnder = (limit: number): number => {
    let count = 1
    let line = 0
    for (const width of widths) {
      if (line > 0 && line + space + width > limit) {
        count++
        line = width
      } else line += (line > 0 ? space : 0) + width
    }
    return count
  }
  if (widthUnder(low) > lines)
    while (high - low > 0.01) {
      const middle = (low + high) / 2
      if (widthUnder(middle) <= lines) high = middle
      else low = middle
    }
  else high = low
  return { lines: widthUnder(high), width: high }
}
