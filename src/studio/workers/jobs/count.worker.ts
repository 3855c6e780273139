import { pairClasses } from '../../../core/audit/classes.ts'
import { buffersOf, Counter, type Tally } from '../../../core/audit/tally.ts'
import { prepareDeal } from '../../../core/deal/deal.ts'
import { answer } from './answer.ts'
import type { CountInput } from './messages.ts'

/** How often progress is reported, in deals. */
const STEP = 1000

answer<CountInput, Tally>(({ pairs, settings, seed, from, to }, progress) => {
  const dealer = prepareDeal(pairs, settings)
  if (!dealer.ok) throw new Error(dealer.problem.message)
  const counter = new Counter(settings.board, pairs.length, to - from, pairClasses(pairs, settings))
  for (let i = from; i < to; i++) {
    counter.add(dealer.value.deal(`${seed}-${i}`))
    if ((i - from) % STEP === 0) progress((i - from) / (to - from))
  }
  return counter.tally
}, buffersOf)
