import { z } from 'zod'
import { cellIndex } from '../board/cells.ts'
import { cardName } from '../deck/card-name.ts'
import { dealSchema } from '../files/deal-file.ts'
import { readWith } from '../files/read-json.ts'
import type { Game } from '../game/game.ts'
import { cardNameSchema } from '../game/schema-parts.ts'
import { CARD_STATES, type CardState, type Input, type Refusal } from '../play/events.ts'
import { advance, apply } from '../play/machine.ts'
import { tableOf } from '../game/check.ts'
import { isOver, LAST_TIME, NEVER, type Round } from '../play/round.ts'
import { newRound } from '../play/new-round.ts'
import { bad, cut, good, type Result } from '../result.ts'

/*
 * The log of a game that another program played, one JSON object a line:
 *   the deal     {"level":"warm-up","seed":"…","rows":2,"columns":3,"cells":["cog/a",…]}
 *   an input     {"at":812,"do":"press","cell":"A1","shows":"cog/a"}      shows: the card that turned, null if none did
 *                {"at":900,"do":"turn-back"} and pause, resume
 *     what is seen {"at":1812,"see":{"A1":"down","B1":"up"}}                 how cards lie, after everything due has
 * happened
 *   the end      {"at":9000,"end":"won"}                                   or lost
 */

const at = z.int().min(0).max(LAST_TIME)
const lineSchema = z.union([
  z.strictObject({
    at,
    do: z.literal('press'),
    cell: z.string(),
    shows: cardNameSchema.nullable().optional(),
  }),
  z.strictObject({ at, do: z.enum(['turn-back', 'pause', 'resume']) }),
  z.strictObject({ at, see: z.record(z.string(), z.enum(CARD_STATES)) }),
  z.strictObject({ at, end: z.enum(['won', 'lost']) }),
])
type Line = z.infer<typeof lineSchema>

/** How many lines are read before the share done is told again. */
const TOLD_EVERY = 500

/** The most unreadable lines that are reported. */
const MOST_TOLD = 100

/** Where a log breaks the rules: the line, from 1, and how. */
type Breach = { line: number; at: number; message: string }
export type LogAudit = {
  level: string
  /** lines that were read, and those that could not be, with the reason */
  lines: number
  torn: string[]
  presses: number
  breach: Breach | null
}

/**
 * Reads a log and plays it by a level's rules, up to the first line that breaks them. A line that cannot be read is
 * reported and skipped. `progress` is called with the share done, 0 to 1. What can go wrong: no deal in the first line,
 * an unknown level, a deal that does not fit it.
 */
export function auditLog(
  game: Game,
  text: string,
  progress: (share: number) => void = () => undefined,
): Result<LogAudit> {
  const lines = text.split(/\r?\n/)
  const head = lines.findIndex((line) => line.trim() !== '')
  if (head < 0) return bad('', 'the log is empty')
  const deal = parsed(lines[head]!)
  const dealLine = deal.ok ? readWith(dealSchema, deal.value) : deal
  if (!dealLine.ok)
    return bad(
      `line ${head + 1}${dealLine.problem.at ? `, ${dealLine.problem.at}` : ''}`,
      `the first line must be the deal, as "deal" prints it (${dealLine.problem.message})`,
    )
  const { level, seed, cells } = dealLine.value
  const table = tableOf(game, { level, seed, deal: cells })
  if (!table.ok) return bad(`line ${head + 1}, ${table.problem.at}`, table.problem.message)
  const { rules, cells: board } = table.value
  const round = newRound(rules, board)
  const audit: LogAudit = { level, lines: 1, torn: [], presses: 0, breach: null }
  let last = 0
  let torn = 0
  for (let i = head + 1; i < lines.length && !audit.breach; i++) {
    if (i % TOLD_EVERY === 0) progress(i / lines.length)
    if (lines[i]!.trim() === '') continue
    const json = parsed(lines[i]!)
    const lineValue = json.ok ? readWith(lineSchema, json.value) : json
    if (!lineValue.ok) {
      if (++torn <= MOST_TOLD)
        audit.torn.push(
          `line ${i + 1}${lineValue.problem.at ? `, ${lineValue.problem.at}` : ''}: ${lineValue.problem.message}`,
        )
      continue
    }
    const line = lineValue.value
    audit.lines++
    if ('do' in line && line.do === 'press') audit.presses++
    const message =
      line.at < last
        ? `${line.at} ms is earlier than the line before (${last} ms)`
        : breachOf(game, round, line)
    last = Math.max(last, line.at)
    if (message) audit.breach = { line: i + 1, at: line.at, message }
  }
  if (torn > MOST_TOLD) audit.torn.push(`and ${torn - MOST_TOLD} more lines that cannot be read`)
  return good(audit)
}

function parsed(line: string): Result<unknown> {
  try {
    return good(JSON.parse(line) as unknown)
  } catch {
    return bad('', 'this is not JSON, or it is cut off')
  }
}

/** Plays one line. Out: how it breaks the rules, or nothing. */
function breachOf(game: Game, round: Round, line: Line): string {
  const { rows, columns } = round.rules.board
  const cellOf = (name: string): number => cellIndex(name, rows, columns)
  if ('see' in line) {
    advance(round, line.at)
    for (const [name, seen] of Object.entries(line.see)) {
      const is = round.states[cellOf(name)] ?? null
      if (is === null) return `${cut(name)} is seen, but there is no card`
      if (is !== seen)
        return `${cut(name)} is seen ${STATES[seen]}, but by the rules it ${stateWords(round, is)}`
    }
    return ''
  }
  if ('end' in line) {
    advance(round, line.at)
    if (!isOver(round)) return `the game ends as ${line.end}, but by the rules it goes on`
    return round.phase === line.end
      ? ''
      : `the game ends as ${line.end}, but by the rules it is ${round.phase}${round.lostBy ? ` by ${round.lostBy}` : ''}`
  }
  if (line.do !== 'press') {
    apply(round, line)
    return ''
  }
  const cell = cellOf(line.cell)
  const [flips, refusals] = [round.flips, round.events!.length]
  const input: Input = { at: line.at, do: 'press', cell }
  apply(round, input)
  if (line.shows === undefined) return ''
  const hasTurned = round.flips > flips
  const events = round.events!.slice(refusals)
  const turnsBackOpen = events.some((event) => event.kind === 'turned-back')
  const onlyTurnsBack = `that press only turns ${turnsBackOpen ? 'the open card' : 'the missed cards'} back`
  const refused = events.find((event) => event.kind === 'refused')
  if (!hasTurned && line.shows !== null)
    return `${cut(line.cell)} turned up ${line.shows}, but ${refused?.kind === 'refused' ? REFUSED_BECAUSE[refused.reason] : onlyTurnsBack}`
  if (!hasTurned) return ''
  const is = cardName(round.cells[cell]!, game.deck.pairs)
  if (line.shows === null) return `${cut(line.cell)} stayed as it was, but by the rules it turns up ${is}`
  return line.shows === is ? '' : `${cut(line.cell)} turned up ${line.shows}, but ${is} was dealt there`
}

const STATES: Record<CardState, string> = {
  down: 'face down',
  up: 'face up',
  matched: 'matched',
  gone: 'gone',
}
function stateWords(round: Round, state: CardState): string {
  const look = round.dueAt === NEVER ? '' : ` until ${round.dueAt} ms`
  return state === 'up' ? `is face up${look}` : `is ${STATES[state]} at ${round.at} ms`
}
const REFUSED_BECAUSE: Record<Refusal, string> = {
  finished: 'the game is over',
  paused: 'the game is paused',
  'first-look': 'the first look is not over',
  locked: 'the board is locked: two cards are still up',
  'no-card': 'there is no card',
  matched: 'that card is matched already',
  'face-up': 'that card is face up already; the same card twice is not a turn',
}
