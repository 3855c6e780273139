import type { Cells } from '../deal/deal.ts'
import type { Settings } from '../settings/settings.ts'
import { addPoints, matchPoints, missPoints, winPoints } from '../play/points.ts'
import { timeLeft } from '../play/clock.ts'
import { matchesOf, playFastest, playLuckiest, type Turn } from './luckiest.ts'
import { repeats } from './repeats.ts'

/** The highest score of a level. `exact`: it can be reached; else it is a bound, and the true one may be lower. */
export type Highest = { score: number; exact: boolean }

/** The most orders of matches and misses that are tried one by one. */
const MOST_ORDERS = 20_000

/**
 * The highest score that all players of a level can make together. With one player, or several who go on after a match:
 * every turn a match. Where the turn passes after a match too, the others may miss on purpose, so that one of them
 * keeps a streak; but with one pair left nobody can miss, so two players at least make a match. In: resolved settings,
 * and a deal of the level.
 */
export function highestScore(settings: Settings, cells: Cells): Highest {
  const { players, score } = settings
  const luckiest = playLuckiest(settings, cells)
  const seats = players.names.length
  const pairs = luckiest.cards / 2
  if (seats === 1 || players.matchGoesAgain || pairs === 1) return { score: luckiest.score, exact: true }
  const different = !repeats(settings, cells)
  if (different && orders(pairs, seats) <= MOST_ORDERS && canBeSearched(settings))
    return { score: searched(settings, cells, seats), exact: true }

  let most = matchPoints(score, 1, true)
  for (let streak = 1; streak < pairs; streak++) most += matchPoints(score, streak, true)
  if (luckiest.phase === 'won') most += winPoints(score, timeLeft(luckiest), luckiest.lives)
  const played = different ? playFastest(settings, cells, oneCollects(cells, seats)).score : luckiest.score
  return { score: most, exact: Math.max(played, luckiest.score) === most }
}

/** Every match but the last is made by the first player, the others miss with the cards that are taken last. */
function oneCollects(cells: Cells, seats: number): Turn[] {
  const twins = matchesOf(cells)
  const miss: Turn = [twins.at(-2)![0], twins.at(-1)![0]]
  return twins.flatMap((twin, i) =>
    i < twins.length - 2 ? [twin, ...Array.from({ length: seats - 1 }, () => miss)] : [twin],
  )
}

/** More misses than this gain nothing: between two matches of one player each of the others misses once. */
const mostMisses = (pairs: number, seats: number): number => (seats - 1) * (pairs - 1)

/** The most orders in which that many misses can come among the matches. */
function orders(pairs: number, seats: number): number {
  let ways = 1
  for (let i = 1; i <= pairs; i++) ways = (ways * (mostMisses(pairs, seats) + i)) / i
  return ways
}

/** A miss costs the same whichever cards it is made with. */
const canBeSearched = ({ score, limits }: Settings): boolean =>
  score.slip === 0 && (limits.lives === null || limits.livesLostOn === 'miss')

/** The best of all orders of matches and misses: for each number of misses the one with the most points is played. */
function searched(settings: Settings, cells: Cells, seats: number): number {
  const { score } = settings
  const twins = matchesOf(cells)
  const best = new Map<number, { points: number; order: boolean[] }>()
  const order: boolean[] = []
  const streaks = new Array<number>(seats).fill(0)
  const points = new Array<number>(seats).fill(0)
  const go = (pairsLeft: number, misses: number): void => {
    if (pairsLeft === 0) {
      const sum = points.reduce((a, b) => a + b)
      if (sum > (best.get(misses)?.points ?? -Infinity)) best.set(misses, { points: sum, order: [...order] })
      return
    }
    const player = order.length % seats
    const [streak, had] = [streaks[player]!, points[player]!]
    const turn = (match: boolean, nextStreak: number, change: number): void => {
      order.push(match)
      streaks[player] = nextStreak
      points[player] = addPoints(score, had, change)
      go(match ? pairsLeft - 1 : pairsLeft, match ? misses : misses + 1)
      order.pop()
      streaks[player] = streak
      points[player] = had
    }
    turn(true, streak + 1, matchPoints(score, streak + 1, true))
    if (pairsLeft > 1 && misses < mostMisses(twins.length, seats)) turn(false, 0, -missPoints(score, false))
  }
  go(twins.length, 0)
  const pointsOf = (matches: readonly boolean[]): number => {
    let next = 0
    const miss: Turn = [twins.at(-2)![0], twins.at(-1)![0]]
    return playFastest(
      settings,
      cells,
      matches.map((match) => (match ? twins[next++]! : miss)),
    ).score
  }
  return Math.max(...[...best.values()].map((one) => pointsOf(one.order)))
}
