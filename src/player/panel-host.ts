import type { Best } from './best.ts'
import type { BoardView } from './board.ts'
import type { PanelActs } from './panel-acts.ts'
import { panelFor } from './panels.ts'
import type { Table } from './table.ts'

/** Shows the panel that the table asks for over the board, and moves the focus there and back. */
export class PanelHost {
  #drawn: HTMLElement | null = null
  #drawnFor: Table['panel'] = 'none'
  #focusBefore: HTMLElement | null = null

  constructor(
    private readonly table: Table,
    private readonly board: BoardView,
    private readonly felt: HTMLElement,
    private readonly acts: Omit<PanelActs, 'peek'>,
  ) {}

  /** In: the best results so far. */
  draw(best: () => Best): void {
    const { table, board, felt } = this
    if (this.#drawnFor === table.panel) return
    this.#drawnFor = table.panel
    this.#drawn?.remove()
    felt.classList.remove('lt-peek')
    felt.dataset.panel = table.panel
    const peek = (): boolean => felt.classList.toggle('lt-peek')
    this.#drawn = panelFor(table, { ...this.acts, peek }, best())
    felt.classList.toggle('lt-covered', this.#drawn !== null)
    board.root.inert = this.#drawn !== null
    if (this.#drawn) this.#takeFocus(this.#drawn)
    else this.#focusBefore?.focus({ preventScroll: true })
  }

  /** If the focus was elsewhere on the page, it stays there. */
  #takeFocus(panel: HTMLElement): void {
    const focused = document.activeElement
    const isHere = focused instanceof HTMLElement && this.felt.parentElement!.contains(focused)
    this.#focusBefore = isHere ? focused : null
    this.felt.append(panel)
    // a page that lies in another waits until somebody comes to it
    const mayTake = parent === window || document.hasFocus()
    if (this.#focusBefore || (focused === document.body && mayTake))
      panel.querySelector('button')?.focus({ preventScroll: true })
  }
}
