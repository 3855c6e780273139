/** The room for a name on the narrowest tile, in px, and the type it is set in; as PairTile's style has them. */
const ROOM = 132
const TYPE = "600 14px 'Figtree Variable', system-ui, sans-serif"

const pen = new OffscreenCanvas(1, 1).getContext('2d')!
const known = new Map<string, string>()

/** A pair's name as its tile has room for it. Not left to the style: a clip for each name is what makes hundreds of them slow to scroll. */
export function tileName(name: string): string {
  const before = known.get(name)
  if (before !== undefined) return before
  pen.font = TYPE
  const fits = (text: string): boolean => pen.measureText(text).width <= ROOM
  const letters = [...name]
  let kept = letters.length
  while (kept && !fits(letters.slice(0, kept).join(''))) kept--
  const shown =
    kept === letters.length
      ? name
      : `${letters
          .slice(0, Math.max(1, kept - 1))
          .join('')
          .trimEnd()}…`
  if (document.fonts.check(TYPE)) known.set(name, shown)
  return shown
}
