import type { Mind } from '../src/core/settings/mind.ts'

/** A press at a time in ms: a cell, the button, or a press that only turns cards back. */
export type Press = { at: number; press: number | 'button' | 'used up' }

export function playGame(of: {
  columns: number
  cells: readonly ({ pair: number; side: 'a' | 'b' | null } | null)[]
  turn: { firstLook: number; matchLook: number; missLook: number; duringLook: string; onMiss: string }
  goesAgain: boolean
  minds: readonly Mind[]
  seed: string
  game: number
  turns: number
}): { presses: Press[]; waits: number[] }
