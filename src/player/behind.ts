import type { Layout } from '../core/board/geometry.ts'
import { element } from './element.ts'
import type { Table } from './table.ts'

/**
 * The picture behind the cards, in one piece per cell: a piece appears as its card leaves, all of them when the game is
 * won.
 */
export class BehindView {
  readonly root = element('div', 'lt-behind')
  #pieces: { box: HTMLElement; image: HTMLImageElement }[] = []
  private readonly table: Table

  constructor(table: Table) {
    this.table = table
  }

  /** Lays the picture of a new round, or none. */
  build(): void {
    const { table, root } = this
    const { behind } = table.settings.look
    this.#pieces = []
    root.replaceChildren()
    root.hidden = behind === null || table.round === null
    if (root.hidden || !behind || !table.round) return
    const src = behind.kind === 'picture' ? table.art(behind.name) : behind.src
    root.setAttribute('aria-label', behind.alt ?? table.speech.say('behindCards'))
    this.#pieces = table.round.cells.map(() => {
      const image = element('img', `lt-behind-${behind.kind}`)
      image.src = src
      image.alt = ''
      image.draggable = false
      const box = element('div', 'lt-piece', image)
      root.append(box)
      return { box, image }
    })
  }

  /** Cuts the picture where the cards lie: a piece reaches to the middle of the gaps around its card. */
  place({ grid, places, gap: { across, down } }: Layout): void {
    const [halfX, halfY] = [across / 2, down / 2]
    this.#pieces.forEach(({ box, image }, cell) => {
      const { x, y, width, height } = places[cell]!
      const [left, top] = [x - halfX, y - halfY]
      Object.assign(box.style, {
        left: `${left}px`,
        top: `${top}px`,
        width: `${width + across}px`,
        height: `${height + down}px`,
      })
      Object.assign(image.style, {
        left: `${grid.x - halfX - left}px`,
        top: `${grid.y - halfY - top}px`,
        width: `${grid.width + across}px`,
        height: `${grid.height + down}px`,
      })
    })
  }

  draw(): void {
    const { round } = this.table
    if (!round || this.root.hidden) return
    const won = round.phase === 'won'
    this.#pieces.forEach(({ box }, cell) =>
      box.classList.toggle('lt-lit', won || round.states[cell] === 'gone'),
    )
    // before it is whole it would give itself away
    if (won) this.root.setAttribute('role', 'img')
    else this.root.removeAttribute('role')
    this.root.ariaHidden = won ? null : 'true'
  }
}
