import { shallowRef, type ShallowRef } from 'vue'
import type { Game } from '../../core/game/game.ts'

/** How long edits of the same thing count as one step to undo, in ms. */
const SAME_STEP = 1200
const STEPS_KEPT = 200

/** A step that can be undone or done again: the game it leads to, and what it does. */
export type Step = { game: Game; label: string; about: string | null; at: number }

/** What can be undone of the document on the bench, and done again. */
export function useHistory(game: ShallowRef<Game | null>) {
  const past = shallowRef<Step[]>([])
  const future = shallowRef<Step[]>([])

  function forget(): void {
    past.value = []
    future.value = []
  }

  /** Remembers a game before it is edited. Edits with the same `about` in quick succession are one step; one with null is always a step of its own. */
  function remember(before: Game, label: string, about: string | null): void {
    const last = past.value.at(-1)
    const now = Date.now()
    const isSame = about !== null && last?.about === about && now - last.at < SAME_STEP
    if (isSame && future.value.length === 0) last.at = now
    else past.value = [...past.value, { game: before, label, about, at: now }].slice(-STEPS_KEPT)
    future.value = []
  }

  /** Takes the last step of one list to the other. Out: whether there was one. */
  function step(from: typeof past, to: typeof past): boolean {
    const last = from.value.at(-1)
    if (!last || !game.value) return false
    from.value = from.value.slice(0, -1)
    to.value = [...to.value, { ...last, game: game.value, about: null }]
    game.value = last.game
    return true
  }
  const undo = (): boolean => step(past, future)
  const redo = (): boolean => step(future, past)

  return { past, future, forget, remember, undo, redo }
}
