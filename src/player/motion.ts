import type { Settings } from '../core/settings/settings.ts'

/** A turn this short, in ms, would be a flicker of two frames, so it is not shown. */
const SHORTEST = 50
/** At a speed from here on nothing moves: whatever moved would be gone within a few frames. */
const FASTEST = 5

/**
 * How cards move on a table: as they turn, when they miss, and when the game is won. All of it runs at the speed of the
 * table's time: `speed` times the real one.
 */
export function moveByLook(root: HTMLElement, look: Settings['look'], speed: number): void {
  root.dataset.flip = look.flip
  root.dataset.miss = look.missMotion
  root.dataset.celebration = look.celebration
  const { style, classList } = root
  style.setProperty('--lt-turn', `${look.flipTime / speed}ms`)
  style.setProperty('--lt-miss', `${look.missTime / speed}ms`)
  style.setProperty('--lt-moves', String(look.missMoves))
  style.setProperty('--lt-strength', String(look.missStrength / 100))
  style.setProperty('--lt-pace', String(1 / speed))
  classList.toggle('lt-still', speed > FASTEST)
  classList.toggle('lt-at-once', look.flipTime / speed < SHORTEST)
}

/** Whether cards turn at once on this element's table: the player wants it so, or a turn would be too short to see. */
export const turnsAtOnce = (element: HTMLElement): boolean =>
  matchMedia('(prefers-reduced-motion: reduce)').matches || element.closest('.lt-still, .lt-at-once') !== null
