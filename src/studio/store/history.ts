import { freeze } from 'immer'
import { shallowRef, type ShallowRef } from 'vue'
import type { Game } from '../../core/game/game.ts'
import type { KeptStep } from './db.ts'
import { difference, withChanges, type Change } from './difference.ts'
import { plainJson } from './game-parts.ts'

/** How long edits of the same thing count as one undo step, in ms. */
const SAME_STEP = 1200
const STEPS_KEPT = 200
/** How many steps are stored, each of those to undo and of those to redo, and how many characters in all. */
const STEPS_STORED = 50
const LETTERS_STORED = 20 * 2 ** 20

/**
 * A step to undo or redo: what it does, and the game it leads to. A step from the storage has only the changes that
 * lead there (`text`) from the game after it; when a step is stored, these changes are worked out.
 */
export type EditStep = {
  id: number
  label: string
  about: string | null
  at: number
  game: Game | null
  text: string | null
}

/** What can be undone and redone of the document on the bench. */
export function useHistory(game: ShallowRef<Game | null>) {
  const past = shallowRef<EditStep[]>([])
  const future = shallowRef<EditStep[]>([])
  let lastId = 0

  /**
   * Remembers a game before it is edited. Edits with the same `about` in quick succession are one step; one with null
   * is always a step of its own.
   */
  function remember(before: Game, label: string, about: string | null): void {
    const last = past.value.at(-1)
    const now = Date.now()
    const isSame = about !== null && last?.about === about && now - last.at < SAME_STEP
    if (isSame && future.value.length === 0) Object.assign(last, { at: now, text: null })
    else {
      lastId = Math.max(lastId + 1, now)
      const step: EditStep = { id: lastId, game: before, label, about, at: now, text: null }
      past.value = [...past.value, step].slice(-STEPS_KEPT)
    }
    future.value = []
  }

  /** Moves the last step of one list to the other. Out: whether there was one that leads somewhere. */
  function step(from: typeof past, to: typeof past): boolean {
    const last = from.value.at(-1)
    if (!last || !game.value) return false
    const next = gameOf(last, game.value)
    if (!next) {
      // the steps below lead nowhere either
      from.value = []
      return false
    }
    from.value = from.value.slice(0, -1)
    to.value = [...to.value, { ...last, game: game.value, text: null, about: null }]
    game.value = next
    return true
  }
  const undo = (): boolean => step(past, future)
  const redo = (): boolean => step(future, past)

  /** The steps to store with this game, the newest first of each list; they share one limit of characters. */
  function toStore(now: Game): KeptStep[] {
    let letters = 0
    const stepsToKeep = (list: readonly EditStep[], isPast: boolean): KeptStep[] => {
      const rows: KeptStep[] = []
      let after: Game | null = now
      for (const one of list.slice(-STEPS_STORED).reverse()) {
        // only a step made in this visit has no text yet, and then the game after it is known
        one.text ??= plainJson(difference(after, one.game))
        after = one.game
        letters += one.text.length
        if (letters > LETTERS_STORED) break
        const { id, label, at, text } = one
        rows.push({ id, label, at, text, past: isPast })
      }
      return rows
    }
    return [...stepsToKeep(past.value, true), ...stepsToKeep(future.value, false)]
  }

  /** Begins anew with the stored steps of a game, in any order. */
  function takeUp(rows: readonly KeptStep[]): void {
    const steps = (isPast: boolean): EditStep[] =>
      rows
        .filter((row) => row.past === isPast)
        .sort((one, other) => (isPast ? one.id - other.id : other.id - one.id))
        .map(({ id, label, at, text }) => ({ id, label, at, text, about: null, game: null }))
    past.value = steps(true)
    future.value = steps(false)
    lastId = Math.max(0, ...rows.map(({ id }) => id))
  }

  return { past, future, remember, undo, redo, toStore, takeUp }
}

/** The game that a step leads to from the one on the bench; null if the stored changes do not fit it. */
function gameOf({ game, text }: EditStep, now: Game): Game | null {
  if (game) return game
  try {
    return freeze(withChanges(now, JSON.parse(text!) as Change[]), true)
  } catch {
    return null
  }
}
