import type { Cells } from '../core/deal/deal.ts'
import type { Input } from '../core/play/events.ts'
import { advance, apply } from '../core/play/machine.ts'
import type { Game } from '../core/game/game.ts'
import { BoardView } from './board.ts'
import { english } from '../core/texts/english.ts'
import { element } from './element.ts'
import type { Art } from './face.ts'
import { moveByLook } from './motion.ts'
import { dealTable, newTable, runAt, timeNow } from './table.ts'

/** Two cards and what happens to them, in ms since their deal; `until` is the end. */
export type OneTurn = { cells: Cells; inputs: readonly Input[]; until: number }

/**
 * Plays turns of two cards one after the other, over and over, at a multiple of the real speed: the same machine and
 * the same drawing as a whole game, and nothing around it. `game` has one level with a board of two cells; `told` is
 * called in each frame with the current turn and its time. Out: a function that ends it.
 */
export function playTurns(
  host: HTMLElement,
  { game, art, turns, speed }: { game: Game; art: Art; turns: readonly OneTurn[]; speed: number },
  onTurn: (turn: number, at: number) => void,
): () => void {
  const table = newTable(game, art, game.levels[0]!, english)
  const board = new BoardView(table)
  const root = element('div', 'lt-player', element('div', 'lt-felt', board.root))
  const { look, turn } = table.settings
  root.inert = true
  root.style.setProperty('--table', look.table)
  root.classList.toggle('lt-fade', turn.onMatch === 'fade')
  moveByLook(root, look, speed)
  host.replaceChildren(root)

  let frame = 0
  let at = -1
  let waiting: Input[] = []
  function next(): void {
    at = (at + 1) % turns.length
    waiting = [...turns[at]!.inputs]
    dealTable(table, table.level, 'one-turn', turns[at]!.cells)
    runAt(table, speed)
    const { offsetWidth: width, offsetHeight: height } = board.root
    board.build({ width, height })
  }
  function step(): void {
    const { round } = table
    if (!round) return
    const now = timeNow(table)
    while (waiting[0] && waiting[0].at <= now) apply(round, waiting.shift()!)
    advance(round, now)
    board.draw()
    onTurn(at, now)
    if (now >= turns[at]!.until) next()
    frame = requestAnimationFrame(step)
  }
  next()
  step()
  return () => {
    cancelAnimationFrame(frame)
    host.replaceChildren()
  }
}
