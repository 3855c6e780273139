import { logOf } from '../deal/count.ts'
import type { ReadBoards } from '../files/boards-file.ts'
import { reasonOf, type Reason } from './reason.ts'
import { reportOf, type Report } from './report.ts'
import { Counter, type Tally } from './tally.ts'

export type Audit = { tally: Tally; report: Report; reason: Reason | null }

/**
 * Audits boards that another program dealt: are they a fair shuffle of their cards, and if not, why. `progress` is
 * called with the share done.
 */
export function auditBoards(input: ReadBoards, progress: (share: number) => void = () => undefined): Audit {
  const counter = new Counter(input.board, input.names.length, input.boards.length)
  input.boards.forEach((cells, i) => {
    counter.add(cells)
    if (i % 2000 === 0) progress(i / input.boards.length)
  })
  const { tally } = counter
  if (!input.twinsKnown) Object.assign(tally, { untwinned: 0 })
  const report = reportOf(tally, 'shuffled', logArrangements(input.boards[0]!))
  return { tally, report, reason: reasonOf(tally, report, input.boards, input.names) }
}

/** The logarithm of the number of ways to lay exactly these cards. */
function logArrangements(cells: readonly number[]): number {
  const counts = new Map<number, number>()
  for (const card of cells) if (card >= 0) counts.set(card, (counts.get(card) ?? 0) + 1)
  let ways = 1n
  let laid = 0n
  for (const count of counts.values())
    for (let i = 1n; i <= count; i++) {
      laid++
      ways = (ways * laid) / i
    }
  return logOf(ways)
}
