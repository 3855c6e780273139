import { markedCell, marksOf } from '../core/board/marks.ts'
import { on } from './element.ts'
import type { Table } from './table.ts'

/** How long a mark that could go on is waited for, in ms. */
const PATIENCE = 700

/** What typing does: `show` what was typed so far, press a card, or say that no card has that mark. */
export type TypingActs = { show(typed: string): void; press(cell: number): void; refuse(typed: string): void }

/** The marks on the backs of this round. */
export const marksOn = ({ round, settings }: Readonly<Table>): (string | null)[] =>
  marksOf(settings.look.marks, round?.cells ?? [], settings.board.columns)

/**
 * Presses by typing the marks on the backs: at once when nothing longer can follow, otherwise after a while or with
 * Enter; Escape and Backspace take back what was typed. Out: what ends it.
 */
export function listenToMarks(root: HTMLElement, table: Table, acts: TypingActs): () => void {
  let typed = ''
  let timer = 0
  function clear(): void {
    clearTimeout(timer)
    typed = ''
  }
  function enter(): void {
    const { cell } = markedCell(marksOn(table), typed)
    const text = typed
    clear()
    if (cell >= 0) acts.press(cell)
    else acts.refuse(text)
  }
  const key = on(document, 'keydown', (event: KeyboardEvent) => {
    const { target, key } = event
    const isHere = target === document.body || (target instanceof Node && root.contains(target))
    if (!isHere || event.repeat || event.altKey || event.ctrlKey || event.metaKey) return
    if (table.panel !== 'none' || table.settings.look.marks === 'none') return clear()
    if (/^[0-9a-z]$/i.test(key)) {
      clearTimeout(timer)
      typed += key.toUpperCase()
      if (!markedCell(marksOn(table), typed).more) return enter()
      acts.show(typed)
      timer = window.setTimeout(enter, PATIENCE)
    } else if (typed && ['Enter', 'Escape', 'Backspace'].includes(key)) {
      // the press of a card, and the pause, are not meant
      event.preventDefault()
      event.stopImmediatePropagation()
      if (key === 'Enter') return enter()
      clear()
      acts.show('')
    }
  })
  return () => {
    clear()
    key()
  }
}
