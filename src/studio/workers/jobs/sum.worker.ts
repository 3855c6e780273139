import { reportOf } from '../../../core/audit/report.ts'
import { buffersOf, sumTallies } from '../../../core/audit/tally.ts'
import { drawnPairs } from '../../../core/deck/select.ts'
import { logDeals } from '../../../core/deal/count.ts'
import { openCells } from '../../../core/board/cells.ts'
import { answer } from './answer.ts'
import type { Fairness, SumInput } from './messages.ts'

answer<SumInput, Fairness>(
  ({ tallies, pairs, settings }) => {
    const tally = sumTallies(tallies)
    const { way } = settings.deal
    const claim = way === 'apart' || way === 'close' ? 'by-steps' : 'shuffled'
    const selected = drawnPairs(pairs, settings.fill).length
    // repeated at random, some fills are likelier than others, and so are their deals
    const byChance = settings.fill.repeat === 'at-random' && selected < openCells(settings.board).length / 2
    return { tally, report: reportOf(tally, claim, byChance ? null : logDeals(pairs, settings)) }
  },
  ({ tally }) => buffersOf(tally),
)
