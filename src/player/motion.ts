/** How long a card takes to turn, in ms; it lies within the look time. */
export const TURN_MS = 270
