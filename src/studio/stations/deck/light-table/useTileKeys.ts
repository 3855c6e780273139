import type { Ref } from 'vue'
import type { Pair } from '../../../../core/deck/pair.ts'
import type { useSelection } from './useSelection.ts'

/** The effect of presses and keys on the light table. `leadAt` is the place of the tile that keys move from, or -1. */
export function useTileKeys(options: {
  pairs: () => readonly Pair[]
  selection: ReturnType<typeof useSelection>
  perRow: Readonly<Ref<number>>
  leadAt: Readonly<Ref<number>>
  focusLead: () => void
  remove: () => void
  step: (by: number) => void
}) {
  const { all, only, press } = options.selection

  function pick(event: MouseEvent | KeyboardEvent): void {
    const tile = (event.target as Element).closest<HTMLElement>('[role=option]')
    if (tile) press(tile.dataset.pair!, event)
  }

  /**
   * Enter and Space select; arrow keys go from tile to tile, with Shift selecting on the way, with Alt moving the
   * selection.
   */
  function key(event: KeyboardEvent): void {
    if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'a') {
      event.preventDefault()
      return all()
    }
    if (event.key === 'Delete' || event.key === 'Backspace') {
      // the browser would lay out the page first, to see what it might delete itself
      event.preventDefault()
      return options.remove()
    }
    if (event.key === 'Escape') return only(null)
    if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault()
      return pick(event)
    }
    const steps: Record<string, number> = {
      ArrowLeft: -1,
      ArrowRight: 1,
      ArrowUp: -options.perRow.value,
      ArrowDown: options.perRow.value,
      Home: -Infinity,
      End: Infinity,
    }
    const by = steps[event.key]
    if (by === undefined) return
    event.preventDefault()
    if (event.altKey) return options.step(Math.sign(by))
    const next = options.pairs()[Math.max(0, Math.min(options.pairs().length - 1, options.leadAt.value + by))]
    if (!next) return
    press(next.id, { shiftKey: event.shiftKey, ctrlKey: false, metaKey: false })
    options.focusLead()
  }

  return { pick, key }
}
