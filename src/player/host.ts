import { findLevel } from '../core/settings/levels.ts'
import { isSeed } from '../core/deal/seed.ts'
import { recordHead } from '../core/play/record.ts'
import { resultOf } from '../core/play/result.ts'
import type { Event } from '../core/play/events.ts'
import type { Player } from './mount.ts'
import type { Table } from './table.ts'

/*
 * The page around a shipped game that lies in a frame: what it hears, and what it may ask for (docs/embedding.md).
 * Everything goes to one known origin, or, where none is given, only what gives nothing away goes to whoever holds the
 * frame. Nobody but the window that holds it is listened to.
 */

/** The origin in a text, or null if it is none: "https://example.org". */
function originIn(text: string | null): string | null {
  try {
    const url = new URL(text ?? '')
    return url.origin === text && url.origin !== 'null' ? url.origin : null
  } catch {
    return null
  }
}

/** The events of a round that its page hears of, in the words of the messages. */
const TOLD: Partial<Record<Event['kind'], string>> = {
  match: 'turn',
  miss: 'turn',
  paused: 'paused',
  resumed: 'resumed',
  won: 'won',
  lost: 'lost',
}

/**
 * In: the text of `?host=`, null if there is none. Out: what the table calls after each change, and when the player
 * leaves.
 */
export function newHost(hostOrigin: string | null) {
  const origin = originIn(hostOrigin)
  let round: Table['round'] = null
  let inputCount = 0
  /** whether the next round is the current one, in another language */
  let goesOn = false

  /** `always` goes to whoever holds the frame. */
  function post(event: string, table: Readonly<Table>, about: object = {}, always: object = {}): void {
    const { level, seed } = table
    const message = { luckyTwin: 1, event, level: level.id, ...always }
    const ended = event === 'won' || event === 'lost' || event === 'left'
    const result = ended && table.round ? resultOf(table.round) : {}
    // a game against a chosen rival is not the level's own, and no record says so
    const record = ended && !table.rival && { record: recordOf(table) }
    parent.postMessage(
      origin ? { ...message, seed, ...about, ...result, ...record } : { ...message, ...result },
      origin ?? '*',
    )
  }
  const recordOf = ({ game, level, seed, inputs, round }: Readonly<Table>) => ({
    ...recordHead,
    game: game.id,
    level: level.id,
    seed,
    inputs,
    until: round?.at,
  })

  function tell(table: Readonly<Table>): void {
    if (!table.round) return
    if (table.round !== round) {
      if (round === null) post('ready', table, {}, hostOrigin !== null && !origin ? { problem: 'host' } : {})
      if (!goesOn) {
        inputCount = 0
        post('dealt', table)
      }
      round = table.round
      goesOn = false
    }
    for (const event of round.events!.slice(inputCount)) {
      const name = TOLD[event.kind]
      if (!name) continue
      const about =
        event.kind === 'match' || event.kind === 'miss'
          ? { turn: event.turn, match: event.kind === 'match', how: event.how, score: round.score }
          : {}
      post(name, table, about)
    }
    inputCount = round.events!.length
  }

  /** Does what the page around asks for. Anything else is left alone, and costs hardly anything. */
  function listen(player: () => Player, leave: () => void): void {
    addEventListener(
      'message',
      ({ source, origin: from, data }: MessageEvent<Record<string, unknown> | null>) => {
        if (source !== parent || (origin && from !== origin) || data?.luckyTwin !== 1) return
        const { table } = player()
        const { level, seed } = data
        if (data.do === 'deal') {
          const target = typeof level === 'string' && findLevel(table.game, level)
          const given = typeof seed === 'string' && isSeed(seed) ? seed : undefined
          if (level === undefined || target) player().deal(target ? target.id : undefined, given)
        } else if (data.do === 'pause' && table.panel === 'none') player().pause()
        else if (data.do === 'resume' && table.panel === 'pause') player().pause()
        else if (data.do === 'sound') player().setSound(data.on === true)
        else if (data.do === 'leave') leave()
      },
    )
  }
  const goOn = (): void => void (goesOn = true)
  return { changed: tell, listen, goOn, left: (table: Readonly<Table>) => post('left', table) }
}
