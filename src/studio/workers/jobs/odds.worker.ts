import { prepareDeal } from '../../../core/deal/deal.ts'
import type { Pair } from '../../../core/deck/pair.ts'
import { evenOut } from '../../../core/odds/even-out.ts'
import { oddsOf, type Odds } from '../../../core/odds/odds-of.ts'
import { playGames, type Playable } from '../../../core/odds/games.ts'
import { hangsOn, type HangsOn } from '../../../core/odds/hangs-on.ts'
import type { Lever } from '../../../core/odds/levers.ts'
import {
  betterShare,
  kindToHard,
  luckOf,
  playDeals,
  type Luck,
  type ToldDeal,
} from '../../../core/odds/luck.ts'
import { solve, type Solved, type Wanted } from '../../../core/odds/solve.ts'
import type { Mind } from '../../../core/settings/mind.ts'
import type { Settings } from '../../../core/settings/settings.ts'
import { answer } from './answer.ts'

/** What is worked out of a level, or of a ladder, besides its games. */
export type OddsQuestion =
  | { ask: 'solve'; wanted: Wanted }
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
  solve: Solved | null
  hangs: HangsOn[] | null
  luck: LuckTold | null
  ladder: (Odds[] | null)[]
  even: (Solved | null)[]
}

const GAMES = { hangs: 2000, ladder: 500 } as const
/** How often each deal is played; fewer deals if games are long. */
const PLAYS = 5
const DEALS = { most: 1000, fewest: 50, turns: 500_000 } as const

answer<OddsInput, OddsAnswers[keyof OddsAnswers]>((input, progress) => {
  const { pairs, seed } = input
  const levels = input.levels.map(({ settings, rivals }): Playable | null => {
    const dealer = prepareDeal(pairs, settings, true)
    return dealer.ok ? { settings, dealer: dealer.value, rivals } : null
  })
  if (input.ask === 'ladder')
    return levels.map((level, place) => {
      progress(place / levels.length)
      return level && input.minds.map((mind) => oddsOf(playGames(level, mind, seed, 1, GAMES.ladder)))
    })
  if (input.ask === 'even') {
    const playable = levels.flatMap((level) => level ?? [])
    const solved = evenOut(playable, input.mind, input.band, input.by, seed, progress)
    return levels.map((level) => (level ? solved[playable.indexOf(level)]! : null))
  }
  const [level] = levels
  if (!level) return null
  if (input.ask === 'solve') return solve(level, input.wanted, seed, progress)
  if (input.ask === 'hangs') return hangsOn(level, input.mind, seed, GAMES.hangs, progress)
  return luckTold(level, input.mind, input.other, seed, progress)
})

function luckTold(
  level: Playable,
  mind: Mind,
  other: Mind | null,
  seed: string,
  progress: (share: number) => void,
): LuckTold {
  const first = playDeals(level, mind, seed, [1, DEALS.fewest], PLAYS)
  const turns = first.reduce((sum, { plays }) => sum + plays.reduce((some, play) => some + play.turns, 0), 0)
  const mean = turns / DEALS.fewest
  const count = Math.max(DEALS.fewest, Math.min(DEALS.most, Math.floor(DEALS.turns / Math.max(1, mean))))
  const deals = [...first]
  while (deals.length < count) {
    const to = Math.min(count, deals.length + DEALS.fewest)
    deals.push(...playDeals(level, mind, seed, [deals.length + 1, to], PLAYS))
    progress(deals.length / count)
  }
  const sorted = kindToHard(deals)
  const once = (played: typeof deals) => played.map(({ plays }) => plays[0]!)
  const against = other && playDeals(level, other, seed, [1, DEALS.fewest * 4], PLAYS)
  return {
    luck: luckOf(deals),
    deals: count,
    plays: PLAYS,
    by: sorted.by,
    kindest: sorted.deals[0]!,
    hardest: sorted.deals.at(-1)!,
    beats: against && betterShare(once(deals.slice(0, against.length)), once(against.slice(0, deals.length))),
  }
}
