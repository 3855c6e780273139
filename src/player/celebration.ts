import { faceOnCard } from '../core/deck/face.ts'
import { NO_CARD, pairOf, type Card } from '../core/deck/card.ts'
import { ratioOf } from '../core/board/geometry.ts'
import { element } from './element.ts'
import { faceElement } from './face.ts'
import type { Table } from './table.ts'

/** How long the celebration of a win covers the table, in ms. */
const CELEBRATION = 1900
const FANNED = 7
const SPARKS = 28

/**
 * What passes over the table when a game is won: its cards fanned out, sparks, or the picture behind. A wave is a
 * motion of the cards themselves and not part of this. It goes away by itself, and at once when anything is pressed.
 */
export function newCelebration(table: Table, felt: HTMLElement) {
  let current: HTMLElement | null = null
  let timer = 0

  function end(): void {
    clearTimeout(timer)
    removeEventListener('pointerdown', end, true)
    removeEventListener('keydown', end, true)
    current?.remove()
    current = null
  }
  function begin(): void {
    end()
    const { celebration } = table.settings.look
    if (celebration === 'none' || celebration === 'wave') return
    const makers = { fan: () => fan(table), sparks: () => sparks(felt), picture: () => picture(table) }
    const inside = makers[celebration]()
    if (!inside) return
    current = element('div', `lt-celebration lt-${celebration}`, ...inside)
    current.setAttribute('aria-hidden', 'true')
    felt.append(current)
    timer = window.setTimeout(end, CELEBRATION / table.speed)
    addEventListener('pointerdown', end, true)
    addEventListener('keydown', end, true)
  }
  return { begin, end }
}

/** The fronts of the round's cards, each pair once, fanned out like a hand of cards. */
function fan({ round, game, art, settings }: Table): HTMLElement[] {
  const ratio = ratioOf(settings.layout)
  const byPair = new Map(
    round!.cells.filter((card) => card !== NO_CARD).map((card): [number, Card] => [pairOf(card), card]),
  )
  const few = [...byPair.values()].slice(0, FANNED)
  return few.map((card, i) => {
    const box = element('div', 'lt-fanned', faceElement(faceOnCard(card, game.deck.pairs), art, ratio))
    // from −1, the leftmost, to 1
    const lean = few.length > 1 ? (2 * i) / (few.length - 1) - 1 : 0
    box.style.setProperty('--lean', String(lean))
    box.style.setProperty('--sunk', String(lean * lean))
    box.style.setProperty('--order', String(i))
    box.style.aspectRatio = String(ratio)
    return box
  })
}

function sparks({ clientWidth, clientHeight }: HTMLElement): HTMLElement[] {
  return Array.from({ length: SPARKS }, (_, i) => {
    const spark = element('span', 'lt-spark')
    // the golden angle: near sparks fly far apart
    const angle = i * 2.39996
    const far = (22 + ((i * 37) % 26)) / 100
    spark.style.setProperty('--x', `${Math.round(Math.cos(angle) * far * clientWidth)}px`)
    spark.style.setProperty('--y', `${Math.round(Math.sin(angle) * far * clientHeight)}px`)
    spark.style.setProperty('--order', String(i % 7))
    return spark
  })
}

function picture({ settings, art }: Table): HTMLElement[] | null {
  const { behind } = settings.look
  if (!behind) return null
  const image = element('img', '')
  image.src = behind.kind === 'picture' ? art(behind.name) : behind.src
  image.alt = ''
  return [image]
}
