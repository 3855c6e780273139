/** The room for a name on the narrowest tile, in px, and the type it is set in; as PairTile's style has them. */
const ROOM = 132
const TYPE = "600 14px 'Figtree Variable', system-ui, sans-serif"

const pen = new OffscreenCanvas(1, 1).getContext('2d')!
const known = new Map<string, number>()

/** Of letters, kept: the browser keeps much for each text that is measured. */
function widthOf(letter: string): number {
  const before = known.get(letter)
  if (before !== undefined) return before
  const { width } = pen.measureText(letter)
  if (document.fonts.check(TYPE)) known.set(letter, width)
  return width
}

/** A pair's name as its tile has room for it. Not left to the style: a clip for each name is what makes hundreds of them slow to scroll. */
export function tileName(name: string): string {
  pen.font = TYPE
  let room = ROOM - widthOf('…')
  let kept = ''
  let fits = true
  for (const letter of name) {
    room -= widthOf(letter)
    fits &&= room >= 0
    if (fits) kept += letter
  }
  // joined letters can be narrower than each by itself
  const whole = room + widthOf('…') >= 0 || pen.measureText(name).width <= ROOM
  return whole ? name : `${kept.trimEnd()}…`
}
