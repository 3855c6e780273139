/** The space for a name on the narrowest tile, in px, and its font; the style of TileRows has the same. */
const ROOM = 132
const TYPE = "600 14px 'Figtree Variable', system-ui, sans-serif"

const pen = new OffscreenCanvas(1, 1).getContext('2d')!
const widths = new Map<string, number>()
const names = new Map<string, string>()

/** Measured names are cached as soon as their font is loaded. */
function once<T>(shortened: Map<string, T>, text: string, find: (text: string) => T): T {
  const before = shortened.get(text)
  if (before !== undefined) return before
  const width = find(text)
  if (document.fonts.check(TYPE)) shortened.set(text, width)
  return width
}

/** Per letter, since the browser keeps a lot for each text that is measured. */
const widthOf = (letter: string): number => once(widths, letter, () => pen.measureText(letter).width)

/**
 * A pair's name shortened to its tile. Not left to the style: a clip for each name is what makes hundreds of them slow
 * to scroll.
 */
export const tileName = (name: string): string => once(names, name, shorten)

function shorten(name: string): string {
  pen.font = TYPE
  let room = ROOM - widthOf('…')
  let shortened = ''
  let fits = true
  for (const letter of name) {
    room -= widthOf(letter)
    fits &&= room >= 0
    if (fits) shortened += letter
  }
  // joined letters can be narrower than the sum of their widths
  const whole = room + widthOf('…') >= 0 || pen.measureText(name).width <= ROOM
  return whole ? name : `${shortened.trimEnd()}…`
}
