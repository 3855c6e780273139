import { NO_CARD } from '../core/deck/card.ts'
import { backBackground } from '../core/deck/back-look.ts'
import { backOf } from '../core/game/backs.ts'
import { faceOnCard } from '../core/deck/face.ts'
import { layout, ratioOf, tableSurface } from '../core/board/geometry.ts'
import { BehindView } from './behind.ts'
import { element } from './element.ts'
import { faceElement } from './face.ts'
import { turnsAtOnce } from './motion.ts'
import type { Table } from './table.ts'
import { marksOn } from './typing.ts'
import { cardLabel } from './words.ts'

/** What is drawn of one card; compared before anything is touched. */
type CardLook = { state: string; shows: boolean; order: string; judged: string; label: string }
/** How large a table is, in CSS px. */
type TableSize = { width: number; height: number }
/** The front is in the page only while its face can be seen. */
type CardView = { button: HTMLButtonElement; inner: HTMLElement; front: HTMLElement; drawn: CardLook | null }

/** The distance of each cell from the middle, in half cells. */
function fromMiddle(rows: number, columns: number): number[] {
  return Array.from({ length: rows * columns }, (_, cell) =>
    Math.max(
      Math.abs(2 * Math.floor(cell / columns) - rows + 1),
      Math.abs(2 * (cell % columns) - columns + 1),
    ),
  )
}

/** The cards on the table, as an ARIA grid. Drawing touches only what changed. */
export class BoardView {
  readonly root = element('div', 'lt-board')
  readonly behind: BehindView
  #cards: (CardView | null)[] = []
  /** the table size that the cards are laid out for, empty before the first */
  #placedFor = ''
  private readonly table: Table

  constructor(table: Table) {
    this.table = table
    this.behind = new BehindView(table)
    this.root.setAttribute('role', 'grid')
  }

  /** Lays the board of a new round. In: the size of the table in CSS px. */
  build(size: TableSize): void {
    const { table, root } = this
    const { rows, columns } = table.settings.board
    root.replaceChildren()
    const back = backOf(table.game, table.settings)
    root.style.setProperty('--back', backBackground(back, table.art))
    root.style.setProperty('--back-paper', back.paper)
    root.style.setProperty('--back-ink', back.ink)
    root.setAttribute('aria-label', table.speech.say('board', { level: table.level.name, rows, columns }))
    this.#cards = []
    this.#placedFor = ''
    this.behind.build()
    if (!table.round) return
    const marks = marksOn(table)
    for (let row = 0; row < rows; row++) {
      const line = element('div', 'lt-row')
      line.setAttribute('role', 'row')
      for (let column = 0; column < columns; column++) {
        const cell = row * columns + column
        const box = element('div', 'lt-cell')
        box.setAttribute('role', 'gridcell')
        const view = table.round.cells[cell] === NO_CARD ? null : this.#card(cell, marks[cell] ?? null)
        if (view) box.append(view.button)
        else box.setAttribute('aria-label', cardLabel(table, cell))
        this.#cards.push(view)
        line.append(box)
      }
      root.append(line)
    }
    this.place(size)
    this.draw()
  }

  #card(cell: number, mark: string | null): CardView {
    const front = element('span', 'lt-front')
    const back = element('span', 'lt-back')
    if (mark !== null) back.dataset.mark = mark
    const inner = element('span', 'lt-inner', back)
    const button = element('button', 'lt-card', inner)
    button.type = 'button'
    button.dataset.cell = String(cell)
    inner.addEventListener('animationend', () => button.classList.remove('lt-turning'))
    return { button, inner, front, drawn: null }
  }

  /**
   * Puts every card where the geometry says, in the table's own px: a scaled preview has another size on screen. Call
   * it when the size of the table may have changed.
   */
  place({ width, height }: TableSize): void {
    const { root, table } = this
    const { board, look } = table.settings
    const { rows, columns } = board
    if (this.#placedFor === `${width} ${height}`) return
    this.#placedFor = `${width} ${height}`
    const surface = tableSurface(width, height, table.settings)
    const surfaceLayout = layout(surface, rows, columns)
    root.style.setProperty('--card-width', `${surfaceLayout.card.width}px`)
    const order = look.dealIn === 'from-middle' ? fromMiddle(rows, columns) : null
    this.#cards.forEach((view, cell) => {
      if (!view) return
      const { x, y, width: w, height: h } = surfaceLayout.places[cell]!
      Object.assign(view.button.style, { left: `${x}px`, top: `${y}px`, width: `${w}px`, height: `${h}px` })
      view.button.style.setProperty('--order', String(order?.[cell] ?? cell))
    })
    this.behind.place(surfaceLayout)
  }

  draw(): void {
    this.#cards.forEach((view, cell) => view && this.#drawCard(view, cell))
    this.behind.draw()
  }

  #drawCard(view: CardView, cell: number): void {
    const { table } = this
    const round = table.round!
    const state = round.states[cell]!
    // the first look is only drawn: in the machine every card stays face down
    const glimpse =
      round.phase === 'first-look' || (round.phase === 'paused' && round.heldPhase === 'first-look')
    const hidden = round.phase === 'paused'
    const shows = (state !== 'down' && !(hidden && state === 'up')) || (glimpse && !hidden) || table.glass
    const now: CardLook = {
      state,
      shows,
      order: state === 'up' ? (cell === round.first ? 'first' : cell === round.second ? 'second' : '') : '',
      judged: state === 'up' && round.second >= 0 ? (round.judgedMatch ? 'match' : 'miss') : '',
      label: cardLabel(table, cell, glimpse && !hidden),
    }
    const old = view.drawn
    view.drawn = now
    const { button } = view
    button.tabIndex = cell === table.cursor ? 0 : -1
    if (
      old &&
      old.state === now.state &&
      old.shows === shows &&
      old.order === now.order &&
      old.judged === now.judged &&
      old.label === now.label
    )
      return
    button.dataset.state = state
    if (now.order) button.dataset.order = now.order
    else delete button.dataset.order
    if (now.judged) button.dataset.judged = now.judged
    else delete button.dataset.judged
    button.classList.toggle('lt-glass', shows && state === 'down' && !glimpse)
    button.setAttribute('aria-label', now.label)
    if (shows) this.#showFace(view, cell)
    else if (!old?.shows) view.front.remove()
    if (old && old.shows !== shows && !(table.glass && state === 'down')) this.#turn(view, shows)
    button.classList.toggle('lt-shows', shows)
  }

  /** The face comes into the page; it is made the first time that it is seen. */
  #showFace({ inner, front }: CardView, cell: number): void {
    if (front.parentNode) return
    if (!front.firstChild) front.append(this.#face(cell))
    inner.append(front)
  }

  /** The card turns; its face is removed from the page once it is face down. */
  #turn(view: CardView, up: boolean): void {
    const { button, inner, front } = view
    button.classList.remove('lt-turning')
    if (turnsAtOnce(button)) {
      if (!up) front.remove()
      return
    }
    button.classList.add('lt-turning')
    inner.addEventListener(
      'animationend',
      () => {
        if (!view.drawn?.shows) front.remove()
      },
      { once: true },
    )
  }

  #face(cell: number): HTMLElement {
    const { game, art, settings, round } = this.table
    const face = faceOnCard(round!.cells[cell]!, game.deck.pairs)
    return faceElement(face, art, ratioOf(settings.layout))
  }

  /** Moves the keyboard position and the focus with it. */
  focus(cell: number): void {
    this.table.cursor = cell
    this.#cards.forEach((view, at) => view && (view.button.tabIndex = at === cell ? 0 : -1))
    this.#cards[cell]?.button.focus({ preventScroll: true })
  }

  /** The cell that a node belongs to, or −1. */
  cellOf(node: EventTarget | null): number {
    const card = node instanceof Element ? node.closest<HTMLElement>('.lt-card') : null
    return card && this.root.contains(card) ? Number(card.dataset.cell) : -1
  }
}
