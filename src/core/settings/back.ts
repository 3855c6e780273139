/** The patterns a back can have. All are drawn in two colours, ink on paper, and fill the card. */
export const PATTERNS = ['herringbone', 'lattice', 'ripples', 'pennants', 'rivets', 'plain'] as const
export type Pattern = (typeof PATTERNS)[number]

/** The middle of a back: a library picture, or an own image. */
type Emblem = { kind: 'picture'; name: string } | { kind: 'image'; src: string }

/** A colour laid over an own image on the back; `strength` in percent: at 100 the image is hidden. */
type Tint = { colour: string; strength: number }

/**
 * What every card shows face down: a pattern in two colours, an emblem on it, or an own image over the whole back,
 * which may be tinted.
 */
export type Back = {
  pattern: Pattern
  ink: string
  paper: string
  emblem?: Emblem
  image?: string
  tint?: Tint
}

/** The back of a new deck: apricot on card. */
export const DEFAULT_BACK = { pattern: 'herringbone' as Pattern, ink: '#d9673c', paper: '#fdeee2' }

/** The colour pairs offered for a back. */
export const BACK_COLOURS = {
  apricot: { ink: '#d9673c', paper: '#fdeee2' },
  lagoon: { ink: '#1f7f80', paper: '#e3f1ee' },
  night: { ink: '#403f6d', paper: '#e9e6f4' },
  walnut: { ink: '#7a5a2f', paper: '#f5ead6' },
  wine: { ink: '#8c2f4b', paper: '#fae6ea' },
}
