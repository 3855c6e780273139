import type { Mind } from '../settings/mind.ts'
import { dealSeed, playOne, type OneGame, type Playable } from './games.ts'

/**
 * A mean over repeated plays of many deals, with its variance split. All in the unit of what was measured, or its
 * square.
 */
type Apart = { mean: number; betweenDeals: number; withinDeals: number }

/**
 * One-way analysis of variance over deals: how much of the measured figure differs from deal to deal, and how much
 * between plays of the same deal. In: by deal, the figure in each play; at least two deals and two plays of each, and
 * the same number of plays for each. The estimate between deals is (MSB − MSW) / plays, 0 if that is below 0. Source:
 * G. W. Snedecor and W. G. Cochran, "Statistical Methods", chapter 13 (random effects).
 */
export function takeApart(deals: readonly (readonly number[])[]): Apart {
  const plays = deals[0]!.length
  const means = deals.map((values) => values.reduce((sum, value) => sum + value, 0) / plays)
  const mean = means.reduce((sum, one) => sum + one, 0) / deals.length
  const between = (plays * means.reduce((sum, one) => sum + (one - mean) ** 2, 0)) / (deals.length - 1)
  let within = 0
  deals.forEach((values, i) => values.forEach((value) => (within += (value - means[i]!) ** 2)))
  within /= deals.length * (plays - 1)
  return { mean, betweenDeals: Math.max(0, between - within) / plays, withinDeals: within }
}

/** The share of all variance that comes from the deal, 0 to 1; null if nothing varies. */
export function dealsShare({ betweenDeals, withinDeals }: Apart): number | null {
  const all = betweenDeals + withinDeals
  return all > 0 ? betweenDeals / all : null
}

/** A deal by its number from 1 and its seed text, and each play of it. */
export type PlayedDeal = { deal: number; seed: string; plays: OneGame[] }

/**
 * Plays deals `from` to `to` (from 1, both included), each `plays` times by a mind whose chances differ from play to
 * play. A deal's result does not depend on which others are played.
 */
export function playDeals(
  level: Playable,
  mind: Mind,
  seed: string,
  [from, to]: readonly [number, number],
  plays: number,
): PlayedDeal[] {
  return Array.from({ length: Math.max(0, to - from + 1) }, (_, i) => {
    const deal = from + i
    const text = dealSeed(level.settings, seed, deal)
    const cells = level.dealer.deal(text)
    const each = Array.from({ length: plays }, (_, play) =>
      playOne(level, cells, mind, seed, (deal - 1) * plays + play + 1),
    )
    return { deal, seed: text, plays: each }
  })
}

/**
 * What is luck on a level: the deal's share of the variance of turns and of the score, and how many pairs a game are
 * found by luck.
 */
export type Luck = { turns: number | null; score: number | null; lucky: number }
export function luckOf(deals: readonly PlayedDeal[]): Luck {
  const apart = (measure: 'turns' | 'score' | 'lucky'): Apart =>
    takeApart(deals.map(({ plays }) => plays.map((play) => play[measure])))
  return {
    turns: dealsShare(apart('turns')),
    score: dealsShare(apart('score')),
    lucky: apart('lucky').mean,
  }
}

/** How a deal plays: the mean of the figure, as measured and shrunk towards that of all deals. */
export type ToldDeal = { seed: string; mean: number; shrunk: number }
/**
 * Deals from the kindest to the hardest: by the share of plays that were won, or by turns if nothing can be lost. Each
 * mean is shrunk towards that of all deals by its uncertainty, with the factor between / (between + within / plays).
 * Source: B. Efron and C. Morris, "Stein's Estimation Rule and Its Competitors", Journal of the American Statistical
 * Association 68 (1973).
 */
export function kindToHard(deals: readonly PlayedDeal[]): { by: 'won' | 'turns'; deals: ToldDeal[] } {
  const by = deals.some(({ plays }) => plays.some(({ end }) => end !== 'won')) ? 'won' : 'turns'
  const values = deals.map(({ plays }) =>
    plays.map(({ end, turns }) => (by === 'won' ? Number(end === 'won') : turns)),
  )
  const { mean, betweenDeals, withinDeals } = takeApart(values)
  const noise = withinDeals / values[0]!.length
  const factor = betweenDeals + noise > 0 ? betweenDeals / (betweenDeals + noise) : 0
  const results = deals.map(({ seed }, i): ToldDeal => {
    const own = values[i]!.reduce((sum, value) => sum + value, 0) / values[i]!.length
    return { seed, mean: own, shrunk: mean + factor * (own - mean) }
  })
  const kindFirst = by === 'won' ? -1 : 1
  return { by, deals: results.sort((one, other) => kindFirst * (one.mean - other.mean)) }
}

/**
 * How often the first of two minds does better on the same deal: it wins where the other loses, or both do the same and
 * it makes more points (on a level with points), or needs fewer turns; a tie counts half. In: games of both on the same
 * deals, in the same order.
 */
export function betterShare(one: readonly OneGame[], other: readonly OneGame[]): number {
  let sum = 0
  one.forEach((game, i) => {
    const against = other[i]!
    const better =
      Number(game.end === 'won') - Number(against.end === 'won') ||
      game.score - against.score ||
      against.turns - game.turns
    sum += better > 0 ? 1 : better === 0 ? 0.5 : 0
  })
  return sum / one.length
}
