import type { LostBy } from '../play/events.ts'
import { ENDS, TURNS_AT_MOST, type Games, type Measure } from './games.ts'
import { wilson } from './wilson.ts'

/** A mean and its standard error (null for a single game). */
export type Mean = { mean: number; error: number | null }
const MEANS = ['turns', 'time', 'score', 'lucky', 'slips', 'waited'] as const satisfies readonly Measure[]
/**
 * The result of a mind's games on a level: `interval` is that of the share won, `histogram` how many games took each
 * number of turns, from 0, `stars` how many games got each number of stars (null if the level gives none). Games that
 * are neither won nor lost were given up.
 */
export type Odds = {
  games: number
  won: number
  interval: [number, number]
  lostBy: Record<LostBy, number>
} & Record<(typeof MEANS)[number], Mean> & { histogram: number[]; stars: number[] | null }

/**
 * Adds up games as they come, in the order of their numbers; how they are cut into lots changes nothing. After
 * TURNS_AT_MOST turns no more are taken.
 */
export class OddsTally {
  games = 0
  turns = 0
  private readonly ends = ENDS.map(() => 0)
  /** by measure: the sum of the values, and of their squares, about the first value */
  private readonly sums = MEANS.map(() => ({ about: 0, sum: 0, squares: 0 }))
  private readonly histogram: number[] = []
  private readonly stars: number[] = []

  get isFull(): boolean {
    return this.turns >= TURNS_AT_MOST
  }

  add(lot: Games): void {
    for (let place = 0; place < lot.ends.length && !this.isFull; place++) this.addOne(lot, place)
  }

  private addOne(lot: Games, place: number): void {
    this.games++
    this.ends[lot.ends[place]!]!++
    MEANS.forEach((measure, i) => {
      const sums = this.sums[i]!
      const value = lot[measure][place]!
      if (this.games === 1) sums.about = value
      const off = value - sums.about
      sums.sum += off
      sums.squares += off * off
    })
    count(this.histogram, lot.turns[place]!)
    this.turns += lot.turns[place]!
    if (lot.stars[place]! >= 0) count(this.stars, lot.stars[place]!)
  }

  /** The result of the games so far; at least one. */
  odds(): Odds {
    const { games, ends } = this
    const ended = (end: (typeof ENDS)[number]): number => ends[ENDS.indexOf(end)]!
    const means = MEANS.map((measure, i) => {
      const { about, sum, squares } = this.sums[i]!
      const variance = games > 1 ? Math.max(0, squares - (sum * sum) / games) / (games - 1) : null
      const error = variance === null ? null : Math.sqrt(variance / games)
      return [measure, { mean: about + sum / games, error }] as const
    })
    return {
      games,
      won: ended('won'),
      interval: wilson(ended('won'), games),
      lostBy: { clock: ended('clock'), lives: ended('lives'), turns: ended('turns') },
      ...(Object.fromEntries(means) as Record<(typeof MEANS)[number], Mean>),
      histogram: [...this.histogram],
      stars: this.stars.length ? [...this.stars] : null,
    }
  }
}

function count(counts: number[], at: number): void {
  while (counts.length <= at) counts.push(0)
  counts[at]!++
}

/** The result of these games; at least one. */
export function oddsOf(games: Games): Odds {
  const tally = new OddsTally()
  tally.add(games)
  return tally.odds()
}
