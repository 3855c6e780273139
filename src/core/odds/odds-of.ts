import type { Dealer } from '../deal/deal.ts'
import { newRound } from '../play/new-round.ts'
import type { LostBy } from '../play/events.ts'
import { resultOf } from '../play/result.ts'
import type { Mind } from '../settings/mind.ts'
import type { Settings } from '../settings/settings.ts'
import { playMinds } from './play-minds.ts'
import { wilson } from './wilson.ts'

/** What is measured of each game: time in ms. */
const MEASURES = ['turns', 'time', 'score', 'lucky', 'slips'] as const
type Measure = (typeof MEASURES)[number]
/** A mean and its standard error (null for a single game). */
export type Mean = { mean: number; error: number | null }
/** What became of a mind's games on a level: `interval` is that of the share won, `histogram` how many games had so many turns, by turns from 0. Games that are neither won nor lost were given up. */
export type Odds = {
  games: number
  won: number
  interval: [number, number]
  lostBy: Record<LostBy, number>
} & Record<Measure, Mean> & { histogram: number[] }

/** The seed text of game `game` (from 1): its deal is that of this seed, unless the level's seed is fixed. */
const dealSeed = ({ deal }: Settings, seed: string, game: number): string =>
  typeof deal.seed === 'object' ? deal.seed.fixed : `${seed}-${game}`

/** Games of a mind on a level, taken together as they come. In: a level's settings and its dealer, the mind, and the seed text of all games. */
export class OddsTally {
  games = 0
  private won = 0
  private readonly lostBy: Record<LostBy, number> = { clock: 0, lives: 0, turns: 0 }
  /** by measure: the sum of the values, and of their squares about the first value */
  private readonly sums = MEASURES.map(() => ({ about: 0, sum: 0, squares: 0 }))
  private readonly histogram: number[] = []

  constructor(
    private readonly settings: Settings,
    private readonly dealer: Dealer,
    private readonly mind: Mind,
    private readonly seed: string,
  ) {}

  /** Plays the next game. */
  play(): void {
    const game = ++this.games
    const { settings, dealer, mind, seed } = this
    const round = newRound(settings, dealer.deal(dealSeed(settings, seed, game)), false)
    playMinds(round, [mind], seed, game)
    const result = resultOf(round)
    if (result.outcome === 'won') this.won++
    if (result.lostBy) this.lostBy[result.lostBy]++
    const { turns, timeUsed: time, score, lucky, slips } = result
    const values: Record<Measure, number> = { turns, time, score, lucky, slips }
    MEASURES.forEach((measure, i) => {
      const sums = this.sums[i]!
      if (game === 1) sums.about = values[measure]
      const off = values[measure] - sums.about
      sums.sum += off
      sums.squares += off * off
    })
    while (this.histogram.length <= turns) this.histogram.push(0)
    this.histogram[turns]!++
  }

  /** What came of the games so far; one at least. */
  odds(): Odds {
    const { games, won, lostBy } = this
    const means = MEASURES.map((measure, i): [Measure, Mean] => {
      const { about, sum, squares } = this.sums[i]!
      const variance = games > 1 ? Math.max(0, squares - (sum * sum) / games) / (games - 1) : null
      return [
        measure,
        { mean: about + sum / games, error: variance === null ? null : Math.sqrt(variance / games) },
      ]
    })
    return {
      games,
      won,
      interval: wilson(won, games),
      lostBy: { ...lostBy },
      ...(Object.fromEntries(means) as Record<Measure, Mean>),
      histogram: [...this.histogram],
    }
  }
}
