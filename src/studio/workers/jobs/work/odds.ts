import { prepareDeal } from '../../../../core/deal/deal.ts'
import type { Pair } from '../../../../core/deck/pair.ts'
import { evenOut } from '../../../../core/odds/even-out.ts'
import { oddsOf, type Odds } from '../../../../core/odds/odds-of.ts'
import { GAMES, joinGames, playGames, type Playable } from '../../../../core/odds/games.ts'
import { sensitivities, type Sensitivity } from '../../../../core/odds/sensitivity.ts'
import type { Lever } from '../../../../core/odds/levers.ts'
import {
  betterShare,
  kindToHard,
  luckOf,
  playDeals,
  type Luck,
  type ToldDeal,
} from '../../../../core/odds/luck.ts'
import {
  countWithin,
  solve,
  type Effort,
  type Solution,
  type SolveGoal,
} from '../../../../core/odds/solve.ts'
import type { Mind } from '../../../../core/settings/mind.ts'
import type { Settings } from '../../../../core/settings/settings.ts'
import type { Report } from './messages.ts'

/** What is worked out of a level, or of a ladder, besides its games. */
export type OddsQuestion =
  | { ask: 'solve'; wanted: SolveGoal }
  | { ask: 'hangs'; mind: Mind }
  | { ask: 'luck'; mind: Mind; other: Mind | null }
  | { ask: 'ladder'; minds: Mind[] }
  | { ask: 'even'; mind: Mind; band: [number, number]; by: Lever }
export type OddsInput = {
  pairs: Pair[]
  levels: { settings: Settings; rivals: (Mind | null)[] }[]
  seed: string
} & OddsQuestion

/** Luck, and the kindest and the hardest of this many deals; how often the mind beats the other on the same deal. */
export type LuckTold = {
  luck: Luck
  deals: number
  plays: number
  by: 'won' | 'turns'
  kindest: ToldDeal
  hardest: ToldDeal
  beats: number | null
}
/** Answers by question. A level that cannot be dealt has null. */
export type OddsAnswers = {
  solve: Solution | null
  hangs: Sensitivity[] | null
  luck: LuckTold | null
  ladder: (Odds[] | null)[]
  even: (Solution | null)[]
}

/** How many games of each small step are played. */
const STEP_GAMES = 2000
/**
 * For the whole ladder: each mind plays as many games of a level as the open level has, fewer if there are many levels
 * or games are long.
 */
const LADDER: Effort = { most: GAMES, fewest: 200, turns: 10_000_000 }
/** How often each deal is played; fewer deals if games are long. */
const PLAYS = 5
const DEALS: Effort = { most: 1000, fewest: 50, turns: 500_000 }

/** The answer to a question about odds. */
export function answerOdds(input: OddsInput, { progress }: Report): OddsAnswers[keyof OddsAnswers] {
  const { pairs, seed } = input
  const levels = input.levels.map(({ settings, rivals }): Playable | null => {
    const dealer = prepareDeal(pairs, settings, true)
    return dealer.ok ? { settings, dealer: dealer.value, rivals } : null
  })
  if (input.ask === 'ladder') {
    const effort = { ...LADDER, turns: LADDER.turns / (levels.length * input.minds.length) }
    return levels.map((level, place) => {
      progress(place / levels.length)
      return level && input.minds.map((mind) => oddsWithin(effort, level, mind, seed))
    })
  }
  if (input.ask === 'even') {
    const playable = levels.flatMap((level) => level ?? [])
    const solved = evenOut(playable, input.mind, input.band, input.by, seed, progress)
    return levels.map((level) => (level ? solved[playable.indexOf(level)]! : null))
  }
  const [level] = levels
  if (!level) return null
  if (input.ask === 'solve') return solve(level, input.wanted, seed, progress)
  if (input.ask === 'hangs') return sensitivities(level, input.mind, seed, STEP_GAMES, progress)
  return luckTold(level, input.mind, input.other, seed, progress)
}

const mean = (values: ArrayLike<number>): number =>
  Array.from(values).reduce((sum, value) => sum + value, 0) / values.length

function oddsWithin(effort: Effort, level: Playable, mind: Mind, seed: string): Odds {
  const first = playGames(level, mind, seed, 1, effort.fewest)
  const count = countWithin(effort, mean(first.turns))
  return oddsOf(joinGames([first, playGames(level, mind, seed, effort.fewest + 1, count)]))
}

function luckTold(
  level: Playable,
  mind: Mind,
  other: Mind | null,
  seed: string,
  progress: (share: number) => void,
): LuckTold {
  const first = playDeals(level, mind, seed, [1, DEALS.fewest], PLAYS)
  const count = countWithin(
    DEALS,
    mean(first.map(({ plays }) => plays.reduce((sum, { turns }) => sum + turns, 0))),
  )
  const deals = [...first]
  while (deals.length < count) {
    const to = Math.min(count, deals.length + DEALS.fewest)
    deals.push(...playDeals(level, mind, seed, [deals.length + 1, to], PLAYS))
    progress(deals.length / count)
  }
  const inOrder = kindToHard(deals)
  const once = (played: typeof deals) => played.map(({ plays }) => plays[0]!)
  const against = other && playDeals(level, other, seed, [1, DEALS.fewest * 4], PLAYS)
  return {
    luck: luckOf(deals),
    deals: count,
    plays: PLAYS,
    by: inOrder.by,
    kindest: inOrder.deals[0]!,
    hardest: inOrder.deals.at(-1)!,
    beats: against && betterShare(once(deals.slice(0, against.length)), once(against.slice(0, deals.length))),
  }
}
