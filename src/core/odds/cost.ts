import type { Dealer } from '../deal/deal.ts'
import { timeUsed } from '../play/clock.ts'
import { newRound } from '../play/new-round.ts'
import { NO_MEMORY, PERFECT, type Mind } from '../settings/mind.ts'
import type { Settings } from '../settings/settings.ts'
import { exactOf, exactTurns } from './exact.ts'
import { SEED } from './games.ts'
import { highestScore, type Highest } from './highest.ts'
import { playLuckiest } from './luckiest.ts'
import { playMinds } from './play-minds.ts'
import { withoutLimits } from './without-limits.ts'

/**
 * How a mind does at its own pace; time in ms. `turns` and `time` are what it needs to clear the board, `score` is what
 * it makes under the level's own limits, including games it loses. Means over `games` games; `exactTurns`: known, not
 * sampled.
 */
export type Landing = { turns: number; time: number; score: number; exactTurns: boolean; games: number }
/**
 * What a level costs: the least time in ms on its own clock, the highest score, and how a perfect memory and no memory
 * do.
 */
export type Cost = { leastTime: number; highest: Highest; perfect: Landing; none: Landing }

/** How many games of a perfect memory, and about how many turns of no memory, are played. */
const GAMES = { perfect: 120, pairs: 4000, least: 12 } as const
const TURNS = 6000

/**
 * What a level costs, played by minds. In: resolved settings and their dealer. Everything is seeded, so the same level
 * gives the same figures. Players who flip unseen cards at random meet them in a shuffled order wherever they lie, so
 * only the cards of a seed are needed. Cost: a few ms, up to 200 ms on the largest boards.
 */
export function costOf(settings: Settings, dealer: Dealer): Cost {
  const unlimited = withoutLimits(settings)
  const first = dealer.cards('cost-0')
  const { pairs } = dealer
  const isLimited =
    settings.clock.mode === 'down' || settings.limits.lives !== null || settings.limits.turns !== null
  const land = (mind: Mind, games: number): Landing => {
    const exact = exactOf({ settings, dealer }, mind, first)
    const samples = Array.from({ length: games }, (_, i) => {
      const cells = dealer.cards(`cost-${i}`)
      const idealRound = newRound(unlimited, cells, false)
      playMinds(idealRound, [mind], SEED, i + 1)
      const round = isLimited ? newRound(settings, cells, false) : idealRound
      if (isLimited) playMinds(round, [mind], SEED, i + 1)
      return { turns: idealRound.turns, time: timeUsed(idealRound), score: round.score }
    })
    const mean = (key: 'turns' | 'time' | 'score'): number =>
      samples.reduce((sum, one) => sum + one[key], 0) / games
    const turns = exact ? exactTurns(exact) : mean('turns')
    return {
      turns,
      // time follows from the turns, and so does its error from theirs
      time: mean('time') + slope(samples) * (turns - mean('turns')),
      score: mean('score'),
      exactTurns: exact !== null,
      games,
    }
  }
  return {
    leastTime: timeUsed(playLuckiest(unlimited, first)),
    highest: highestScore(settings, first),
    perfect: land(PERFECT, Math.max(GAMES.least, Math.min(GAMES.perfect, Math.floor(GAMES.pairs / pairs)))),
    none: land(NO_MEMORY, Math.max(2, Math.min(GAMES.perfect, Math.round(TURNS / pairs ** 2)))),
  }
}

/** How much time grows with each turn, by least squares; 0 if all games took as many turns. */
function slope(samples: readonly { turns: number; time: number }[]): number {
  const middle = (key: 'turns' | 'time'): number =>
    samples.reduce((sum, one) => sum + one[key], 0) / samples.length
  const [turns, time] = [middle('turns'), middle('time')]
  let [both, square] = [0, 0]
  for (const one of samples) {
    both += (one.turns - turns) * (one.time - time)
    square += (one.turns - turns) ** 2
  }
  return square > 0 ? both / square : 0
}
