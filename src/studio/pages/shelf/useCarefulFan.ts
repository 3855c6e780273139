import { onBeforeUnmount, ref, type Ref } from 'vue'
import type { Face } from '../../../core/deck/pair.ts'
import { HERE } from '../../parts/settings/useChoice.ts'
import { whenIdle } from '../../parts/timing/whenIdle.ts'
import type { StoredGame } from '../../store/db.ts'

/** Games whose cards are being drawn in some tab; an entry still here when a browser starts crashed the last one. */
const NOTE = `${HERE}drawing`
const here = new Set<string>()
/** After this long everything is drawn or was given up, in ms. */
const DRAWN = 3000

function change(names: (all: Set<string>) => void): void {
  try {
    const all = new Set(JSON.parse(localStorage.getItem(NOTE) ?? '[]') as string[])
    names(all)
    localStorage.setItem(NOTE, JSON.stringify([...all]))
  } catch {
    // if nothing can be stored, everything is drawn
  }
}
const isNoted = (name: string): boolean => {
  let hasCrashed = false
  change((all) => (hasCrashed = all.has(name)))
  return hasCrashed
}
const finish = (name: string): void => {
  here.delete(name)
  change((all) => all.delete(name))
}
// a tab that was left has not failed
addEventListener('pagehide', () => change((all) => here.forEach((name) => all.delete(name))))

/**
 * The cards of a game on the shelf, drawn with care: a browser that crashed while drawing them draws placeholders the
 * next time, until the game is changed or its user asks for them. So one bad game never keeps the shelf from opening.
 * `safe`: placeholders are drawn; `draw` draws the cards all the same.
 */
export function useCarefulFan(
  box: () => StoredGame,
  fan: () => readonly Face[],
): { safe: Ref<boolean>; draw: () => void } {
  const name = `${box().key} ${box().rev}`
  const hasImages = fan().some(({ kind }) => kind === 'image')
  const settled = whenIdle(() => finish(name), DRAWN)
  const safe = ref(hasImages && !here.has(name) && isNoted(name))

  function begin(): void {
    if (!hasImages) return
    here.add(name)
    change((all) => all.add(name))
    // after two frames and a rest, everything that can crash a browser has happened
    requestAnimationFrame(() => requestAnimationFrame(() => settled()))
  }
  if (!safe.value) begin()
  onBeforeUnmount(() => !safe.value && finish(name))
  return {
    safe,
    draw() {
      safe.value = false
      begin()
    },
  }
}
