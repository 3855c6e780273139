import type { BoardView } from './board.ts'
import { on } from './element.ts'
import type { Table } from './table.ts'

/**
 * Presses by touch, mouse and key. A press counts when the finger goes down, so the card turns in the next frame; the
 * click that follows is the same press. A click without a pointer comes from a key or a screen reader. Out: what ends
 * it.
 */
export function listen(view: BoardView, table: Table, press: (cell: number) => void): () => void {
  const { root } = view
  let pressedByPointer = false
  const down = on(root, 'pointerdown', (event: PointerEvent) => {
    pressedByPointer = false
    if (event.button !== 0 || !event.isPrimary) return
    const cell = view.cellOf(event.target)
    if (cell < 0) return
    pressedByPointer = true
    table.cursor = cell
    press(cell)
  })
  const click = on(root, 'click', (event: MouseEvent) => {
    const cell = view.cellOf(event.target)
    const again = pressedByPointer && event.detail > 0
    pressedByPointer = false
    if (cell >= 0 && !again) press(cell)
  })
  const key = on(root, 'keydown', (event: KeyboardEvent) => {
    if (event.altKey || event.ctrlKey || event.metaKey) return
    const to = neighbour(table, view.cellOf(event.target), event.key)
    if (to < 0) return
    event.preventDefault()
    view.focus(to)
  })
  return () => [down, click, key].forEach((end) => end())
}

/** The next card in a direction, skipping gaps; −1 if the key is no direction. At an edge the position stays. */
export function neighbour(table: Table, cell: number, key: string): number {
  const { states } = table.round ?? { states: [] }
  const { rows, columns } = table.settings.board
  if (cell < 0) return -1
  const row = Math.floor(cell / columns)
  const along = (start: number, step: number, count: number): number => {
    for (let i = 0, at = start; i < count; i++, at += step) if (states[at] !== null) return at
    return cell
  }
  switch (key) {
    case 'ArrowLeft':
      return along(cell - 1, -1, cell % columns)
    case 'ArrowRight':
      return along(cell + 1, 1, columns - 1 - (cell % columns))
    case 'ArrowUp':
      return along(cell - columns, -columns, row)
    case 'ArrowDown':
      return along(cell + columns, columns, rows - 1 - row)
    case 'Home':
      return along(row * columns, 1, columns)
    case 'End':
      return along(row * columns + columns - 1, -1, columns)
    default:
      return -1
  }
}
