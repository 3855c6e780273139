import { cardsMatch } from '../deck/card.ts'
import { draw } from '../deal/draw.ts'
import type { Cells } from '../deal/deal.ts'
import type { Stream } from '../deal/seed.ts'
import type { Settings } from '../settings/settings.ts'
import { REFUSALS, type Input, type Refusal } from './events.ts'
import { broken, newWatch, type Invariant } from './invariants.ts'
import { apply } from './machine.ts'
import { isOver, NEVER, type Round } from './round.ts'
import { newRound } from './new-round.ts'

/** The kinds of rough handling. */
export const NASTY = [
  'twice',
  'third',
  'twin',
  'last-ms',
  'just-late',
  'pause',
  'outside',
  'button',
  'anywhere',
] as const
export type Nasty = (typeof NASTY)[number]

export type RoughReport = {
  games: number
  inputs: number
  tried: Record<Nasty, number>
  won: number
  lost: number
  refused: Record<Refusal, number>
  /** the first game that broke an invariant: enough to play it again */
  broke: { invariant: Invariant; seed: string; inputs: Input[] } | null
}

export const emptyReport = (): RoughReport => ({
  games: 0,
  inputs: 0,
  tried: Object.fromEntries(NASTY.map((kind) => [kind, 0])) as Record<Nasty, number>,
  won: 0,
  lost: 0,
  refused: Object.fromEntries(REFUSALS.map((reason) => [reason, 0])) as Record<Refusal, number>,
  broke: null,
})

/** Maximum inputs per card, so that a game that nobody can win ends too. */
const INPUTS_A_CARD = 12
const SOME_MORE = 6
const CLOCK_SELDOM = 60

function twinDown(round: Round): number {
  const first = round.cells[round.first]!
  return round.cells.findIndex(
    (card, cell) => cell !== round.first && round.states[cell] === 'down' && cardsMatch(first, card),
  )
}

/**
 * Plays one game with random and nasty presses and checks the invariants after each. In: rules, a deal and its seed, a
 * stream of its own; `report` is added to. Out: whether all of them held.
 */
export function handleRoughly(
  rules: Settings,
  cells: Cells,
  seed: string,
  stream: Stream,
  report: RoughReport,
  watched: typeof broken = broken,
): boolean {
  const round = newRound(rules, cells, false)
  const watch = newWatch()
  const inputs: Input[] = []
  const most = cells.length * INPUTS_A_CARD
  let at = 0
  let last = 0
  let after = SOME_MORE
  report.games++
  while (inputs.length < most && after > 0) {
    const kind = NASTY[draw(stream, NASTY.length)]!
    report.tried[kind]++
    let cell = draw(stream, cells.length)
    let act: 'press' | 'turn-back' | 'pause' | 'resume' = 'press'
    // often to the end of a look, now and then to that of the clock: a game should last
    const next = draw(stream, CLOCK_SELDOM) === 0 ? round.nextDue : round.dueAt
    const due = next === NEVER ? at : next
    if (kind === 'twice') cell = last
    else if (kind === 'twin' && round.phase === 'one-up') cell = twinDown(round)
    else if (kind === 'last-ms') at = Math.max(at, due - 1)
    else if (kind === 'just-late') at = Math.max(at, due)
    else if (kind === 'pause') act = round.phase === 'paused' ? 'resume' : 'pause'
    else if (kind === 'outside') cell = cells.length + draw(stream, 3)
    else if (kind === 'button') act = 'turn-back'
    else if (kind === 'anywhere') at += draw(stream, 400)
    // nobody waits in a pause for ever
    if (round.phase === 'paused' && kind === 'third') act = 'resume'
    const input: Input = act === 'press' ? { at, do: act, cell } : { at, do: act }
    last = cell
    inputs.push(input)
    report.inputs++
    apply(round, input)
    const invariant = watched(round, watch)
    if (invariant) {
      report.broke ??= { invariant, seed, inputs }
      return false
    }
    if (isOver(round)) after--
  }
  if (round.phase === 'won') report.won++
  else if (round.phase === 'lost') report.lost++
  for (const reason of REFUSALS) report.refused[reason] += round.refused[reason] ?? 0
  return true
}
