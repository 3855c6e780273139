/** The patterns a back can bear. All are drawn in two colours, ink on paper, and fill the card. */
export const PATTERNS = ['herringbone', 'lattice', 'ripples', 'pennants', 'rivets', 'plain'] as const
export type Pattern = (typeof PATTERNS)[number]

/** The back of a new deck: apricot on card. */
export const DEFAULT_BACK = { pattern: 'herringbone' as Pattern, ink: '#d9673c', paper: '#fdeee2' }
