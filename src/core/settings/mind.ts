/** A simulated player: what it remembers, and how fast it presses. docs/odds.md says exactly how it plays. */
export type Mind = { id: string; name: string; memory: Memory; pace: MindPace }
/** Chances are 0 to 1. */
export type Memory = {
  /** that a missed card is remembered */
  notice: number
  /** the most cards that are remembered; null for no limit */
  hold: number | null
  /** that a remembered card is forgotten, at each turn */
  fade: number
  /** that the neighbouring cell is pressed instead of the remembered one */
  blur: number
  /** ms that it looks at each card of a first look; 0: it never looks */
  glance: number
}
/**
 * Medians, in ms, before the first and the second card of a turn; `spread` is the standard deviation of their
 * logarithm.
 */
type MindPace = { first: number; second: number; spread: number }

const PACE: MindPace = { first: 1100, second: 900, spread: 0.4 }
const mind = (id: string, name: string, memory: Memory): Mind => ({ id, name, memory, pace: PACE })

/** Their figures are round ones: landmarks, not measurements. */
export const PERFECT = /* @__PURE__ */ mind('perfect', 'Perfect', {
  notice: 1,
  hold: null,
  fade: 0,
  blur: 0,
  glance: 1,
})
const KEEN = /* @__PURE__ */ mind('keen', 'Keen', {
  notice: 1,
  hold: 12,
  fade: 0.02,
  blur: 0.03,
  glance: 350,
})
export const EVERYDAY = /* @__PURE__ */ mind('everyday', 'Everyday', {
  notice: 0.95,
  hold: 7,
  fade: 0.04,
  blur: 0.06,
  glance: 450,
})
export const FLEETING = /* @__PURE__ */ mind('fleeting', 'Fleeting', {
  notice: 0.8,
  hold: 4,
  fade: 0.12,
  blur: 0.1,
  glance: 700,
})
export const NO_MEMORY = /* @__PURE__ */ mind('none', 'No memory', {
  notice: 0,
  hold: 0,
  fade: 1,
  blur: 0,
  glance: 0,
})
/** The minds that every game has. */
export const READY_MINDS: readonly Mind[] = [PERFECT, KEEN, EVERYDAY, FLEETING, NO_MEMORY]
