import { prepareDeal } from '../../../core/deal/deal.ts'
import { streamOf } from '../../../core/deal/seed.ts'
import { emptyReport, handleRoughly, type RoughReport } from '../../../core/play/rough.ts'
import type { Result } from '../../../core/result.ts'
import { answer } from './answer.ts'
import type { RoughInput } from './messages.ts'

/** Handles games of a level roughly until this many inputs were tried, or one broke an invariant. */
answer<RoughInput, Result<RoughReport>>(({ pairs, settings, seed, inputs }, progress) => {
  const dealer = prepareDeal(pairs, settings)
  if (!dealer.ok) return dealer
  const report = emptyReport()
  const stream = streamOf(seed, 'picking')
  while (report.inputs < inputs) {
    if (report.games % 200 === 0) progress(report.inputs / inputs)
    const one = `${seed}-${report.games + 1}`
    if (!handleRoughly(settings, dealer.value.deal(one), one, stream, report)) break
  }
  return { ok: true, value: report }
})
