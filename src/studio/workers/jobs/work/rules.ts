import { logDeals } from '../../../../core/deal/count.ts'
import { prepareDeal, stepsReach, type StepsReach } from '../../../../core/deal/deal.ts'
import { streamOf } from '../../../../core/deal/seed.ts'
import type { Pair } from '../../../../core/deck/pair.ts'
import { costOf, type Cost } from '../../../../core/odds/cost.ts'
import { livesNeeded } from '../../../../core/odds/lives.ts'
import { emptyReport, handleRoughly, type RoughReport } from '../../../../core/play/rough.ts'
import type { Result } from '../../../../core/result.ts'
import type { Settings } from '../../../../core/settings/settings.ts'
import type { Report } from './messages.ts'

/**
 * Figures of a level's deals: the steps that its board can hold, null if it cannot be dealt for another reason; and the
 * number of deals, as natural logarithms: exactly, or at most.
 */
export type DealFigures = { reach: StepsReach | null; exactly: number | null; most: number | null }
/**
 * Figures of a level's rules; null if it cannot be dealt. `lasting`: the share of a perfect memory's games that the
 * lives last, and how many games were played to find it, 0 if it is exact.
 */
export type RuleFigures = { cost: Cost; lasting: { share: number; games: number } | null } | null

type Level = { pairs: Pair[]; settings: Settings }

/** Figures of the deals of a level. */
export function dealFigures({ pairs, settings }: Level): DealFigures {
  const { way } = settings.deal
  const reach = stepsReach(pairs, settings)
  if (!reach && way !== 'arranged') return { reach, exactly: null, most: null }
  const exactly = logDeals(pairs, settings)
  const shuffled: Settings = { ...settings, deal: { ...settings.deal, way: 'shuffled' } }
  return { reach, exactly, most: exactly ?? logDeals(pairs, shuffled) }
}

/** Figures of the rules of a level. */
export function ruleFigures({ pairs, settings }: Level): RuleFigures {
  const dealer = prepareDeal(pairs, settings, true)
  if (!dealer.ok) return null
  const lives = livesNeeded(settings, dealer.value)
  return {
    cost: costOf(settings, dealer.value),
    lasting: lives && { share: lives.share(settings.limits.lives!), games: lives.games },
  }
}

/** Handles games of a level roughly until this many inputs were tried, or one broke an invariant. */
export function handleLevel(
  { pairs, settings, seed, inputs }: Level & { seed: string; inputs: number },
  { progress }: Report,
): Result<RoughReport> {
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
}
