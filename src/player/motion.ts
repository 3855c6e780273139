import type { Settings } from '../core/settings/settings.ts'

/** How long a card takes to turn, in ms; it lies within the look time. */
export const TURN_MS = 270
/** A turn this short, in ms, would be a flicker of two frames, so it is not shown. */
const SHORTEST = 50

/** The motion of a table runs at the speed of its time: `speed` times the real one. */
export function keepPace(root: HTMLElement, speed: number): void {
  root.style.setProperty('--lt-turn', `${TURN_MS / speed}ms`)
  root.style.setProperty('--lt-pace', String(1 / speed))
  root.classList.toggle('lt-still', TURN_MS / speed < SHORTEST)
}

/** How cards move on a table: as they turn, when they miss, and when the game is won. */
export function moveByLook(root: HTMLElement, look: Settings['look']): void {
  root.dataset.flip = look.flip
  root.dataset.miss = look.missMotion
  root.dataset.celebration = look.celebration
  root.style.setProperty('--lt-strength', String(look.missStrength / 100))
}

/** Whether nothing moves on this element's table: the player wants it so, or time runs too fast for it. */
export const isStill = (element: HTMLElement): boolean =>
  matchMedia('(prefers-reduced-motion: reduce)').matches || element.closest('.lt-still') !== null
