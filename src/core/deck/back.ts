/** The patterns a back can have. All are drawn in two colours, ink on paper, and fill the card. */
export const PATTERNS = ['herringbone', 'lattice', 'ripples', 'pennants', 'rivets', 'plain'] as const
export type Pattern = (typeof PATTERNS)[number]

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
