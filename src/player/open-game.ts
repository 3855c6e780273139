import type { Game } from '../core/game/game.ts'
import { findLevel } from '../core/settings/levels.ts'
import type { Input } from '../core/play/events.ts'
import { isSeed } from '../core/deal/seed.ts'
import { isOver } from '../core/play/round.ts'
import type { Keep } from './best.ts'
import { MINDS_PLAY } from './minds-play.ts'
import type { Table } from './table.ts'

/** An unfinished game, as it is kept for the next visit: enough to play it again up to where it stopped. */
export type OpenGame = { level: string; seed: string; rival?: string; inputs: Input[]; at: number }

/** The least time from one keeping of the open game to the next, in ms. */
const KEEP_EVERY = 1000

/** The game on the table, if it is being played: something was pressed, and it is not over. */
export function openGameOf({ level, seed, inputs, round, rival }: Readonly<Table>): OpenGame | undefined {
  if (!round || isOver(round) || !inputs.some((input) => input.do === 'press')) return undefined
  return { level: level.id, seed, inputs, at: round.at, ...(MINDS_PLAY && { rival }) }
}

/**
 * Keeps the game on the table until it is over; forgets it then, or if nothing was pressed yet. At a change, but once a
 * second at most, or `now`, as when the page is left: a page that is loaded anew may read before the old one is left.
 */
export function newOpenKeeper(keep: Keep | null, table: Table) {
  let timer: ReturnType<typeof setTimeout> | undefined
  let lastText = ''
  let keptAt = -KEEP_EVERY
  function now(): void {
    clearTimeout(timer)
    timer = undefined
    if (!keep || !table.round) return
    const open = openGameOf(table)
    const text = open ? JSON.stringify(open) : ''
    if (text === lastText) return
    lastText = text
    keptAt = performance.now()
    keep.write(text)
  }
  function changed(): void {
    if (keep) timer ??= setTimeout(now, keptAt + KEEP_EVERY - performance.now())
  }
  return { now, changed }
}

/** The game that was left open, or null; unreadable data counts as none. */
export function readOpen(keep: Keep | null, game: Game): OpenGame | null {
  try {
    const openGame = JSON.parse(keep?.read() || 'null') as OpenGame | null
    const sound =
      openGame &&
      typeof openGame.seed === 'string' &&
      isSeed(openGame.seed) &&
      findLevel(game, openGame.level) &&
      Array.isArray(openGame.inputs) &&
      Number.isInteger(openGame.at)
    return sound ? openGame : null
  } catch {
    return null
  }
}
