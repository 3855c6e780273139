import { prepareDeal } from '../../../core/deal/deal.ts'
import { dealtText, seedsFrom } from '../../../core/files/dealt-file.ts'
import type { Result } from '../../../core/result.ts'
import { answer } from './answer.ts'
import type { DealtInput } from './messages.ts'

/** Deals of a level, as text to export. */
answer<DealtInput, Result<string>>(({ pairs, settings, level, seed, count, format }, progress) => {
  const dealer = prepareDeal(pairs, settings)
  if (!dealer.ok) return dealer
  const parts = seedsFrom(seed, count).map((one, i) => {
    if (i % 100 === 0) progress(i / count)
    return dealtText({ deck: { pairs } }, level, dealer.value, one, format)
  })
  return { ok: true, value: parts.join(format === 'grid' ? '\n' : '') }
})
