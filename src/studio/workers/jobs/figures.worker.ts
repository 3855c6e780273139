import { logDeals } from '../../../core/deal/count.ts'
import { prepareDeal, stepsReach, type StepsReach } from '../../../core/deal/deal.ts'
import type { Pair } from '../../../core/deck/pair.ts'
import type { Settings } from '../../../core/settings/settings.ts'
import { costOf, type Cost } from '../../../core/odds/cost.ts'
import { livesNeeded } from '../../../core/odds/lives.ts'
import { answer } from './answer.ts'

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
export type Figures = { deal: DealFigures; rules: RuleFigures }
export type FiguresInput = { what: keyof Figures; pairs: Pair[]; settings: Settings }

answer<FiguresInput, Figures[keyof Figures]>(({ what, pairs, settings }) =>
  what === 'deal' ? dealFigures(pairs, settings) : ruleFigures(pairs, settings),
)

function dealFigures(pairs: Pair[], settings: Settings): DealFigures {
  const { way } = settings.deal
  const reach = stepsReach(pairs, settings)
  if (!reach && way !== 'arranged') return { reach, exactly: null, most: null }
  const exactly = logDeals(pairs, settings)
  const shuffled: Settings = { ...settings, deal: { ...settings.deal, way: 'shuffled' } }
  return { reach, exactly, most: exactly ?? logDeals(pairs, shuffled) }
}

function ruleFigures(pairs: Pair[], settings: Settings): RuleFigures {
  const dealer = prepareDeal(pairs, settings, true)
  if (!dealer.ok) return null
  const needed = livesNeeded(settings, dealer.value)
  return {
    cost: costOf(settings, dealer.value),
    lasting: needed && { share: needed.share(settings.limits.lives!), games: needed.games },
  }
}
