import { prepareDeal, type Cells } from '../deal/deal.ts'
import type { TurnKind } from '../play/events.ts'
import { newRound } from '../play/new-round.ts'
import type { Pair } from '../deck/pair.ts'
import type { Mind } from '../settings/mind.ts'
import { DEFAULTS } from '../settings/settings.ts'
import { playMinds } from './play-minds.ts'

/**
 * A turn of the worked example: the two cells, the judgement, and the cells remembered after it, from the oldest to the
 * freshest.
 */
type ExampleTurn = { first: number; second: number; how: TurnKind; remembered: number[] }
export type Example = { columns: number; cells: Cells; turns: ExampleTurn[]; complete: boolean }

const COLUMNS = 4
const PAIRS: Pair[] = Array.from({ length: COLUMNS }, (_, i) => ({
  id: `p${i}`,
  name: `${i}`,
  a: { kind: 'text', text: '·' },
}))
const LEVEL = { ...DEFAULTS, board: { rows: 2, columns: COLUMNS, gaps: [] } }
/** Some minds never finish: this many turns are shown. */
const SHOWN = 24

/**
 * The same game of eight cards, four pairs on two rows, as a mind plays it: always the same deal and the same chances.
 */
export function exampleOf(mind: Mind): Example {
  const dealer = prepareDeal(PAIRS, LEVEL)
  if (!dealer.ok) throw new Error(dealer.problem.message)
  const cells = dealer.value.deal('example')
  const round = newRound(LEVEL, cells)
  const turns: ExampleTurn[] = []
  playMinds(round, [mind], 'example', 1, ([player]) => {
    const judged = round.events!.findLast((event) => event.kind === 'match' || event.kind === 'miss')
    if (turns.length >= SHOWN || (judged?.kind !== 'match' && judged?.kind !== 'miss')) return
    const { first, second, how } = judged
    turns.push({ first, second, how, remembered: player!.traces.held() })
  })
  return { columns: COLUMNS, cells, turns, complete: round.turns === turns.length }
}
