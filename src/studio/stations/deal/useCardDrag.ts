import { onBeforeUnmount, ref } from 'vue'

/** How far a pointer must move, in px, before a press becomes a drag. */
const SLACK = 6

export type Drag = { from: number; over: number; x: number; y: number }

/**
 * Dragging a card on the board from above. `cellUnder` gives the cell at a point of the window (−1: none), `mayDrag`
 * whether its card can be picked up, `drop` gets both cells. Out: the current drag, a handler for pointerdown, and
 * whether to ignore the click that follows a drag.
 */
export function useCardDrag(
  cellUnder: (x: number, y: number) => number,
  mayDrag: (cell: number) => boolean,
  drop: (from: number, to: number) => void,
) {
  const drag = ref<Drag | null>(null)
  let start: { cell: number; x: number; y: number; pointer: number } | null = null
  let dragged = false

  function down(event: PointerEvent, cell: number): void {
    dragged = false
    if (event.button !== 0 || !mayDrag(cell)) return
    start = { cell, x: event.clientX, y: event.clientY, pointer: event.pointerId }
    window.addEventListener('pointermove', move)
    window.addEventListener('pointerup', up)
    window.addEventListener('pointercancel', end)
    window.addEventListener('keydown', escape, true)
  }
  function move(event: PointerEvent): void {
    if (!start || event.pointerId !== start.pointer) return
    const [x, y] = [event.clientX - start.x, event.clientY - start.y]
    if (!drag.value && Math.hypot(x, y) < SLACK) return
    const under = cellUnder(event.clientX, event.clientY)
    drag.value = { from: start.cell, over: under === start.cell ? -1 : under, x, y }
  }
  function up(): void {
    const now = drag.value
    end()
    if (!now) return
    dragged = true
    if (now.over >= 0 && mayDrag(now.over)) drop(now.from, now.over)
  }
  function escape(event: KeyboardEvent): void {
    if (event.key !== 'Escape' || !drag.value) return
    event.stopPropagation()
    dragged = true
    end()
  }
  function end(): void {
    start = null
    drag.value = null
    window.removeEventListener('pointermove', move)
    window.removeEventListener('pointerup', up)
    window.removeEventListener('pointercancel', end)
    window.removeEventListener('keydown', escape, true)
  }
  onBeforeUnmount(end)

  /** Whether the current click is only the end of a drag. */
  const wasDrag = (): boolean => {
    const was = dragged
    dragged = false
    return was
  }
  return { drag, down, wasDrag }
}
