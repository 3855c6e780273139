import type { Dealer } from '../deal/deal.ts'
import { streamOf, type Stream } from '../deal/seed.ts'
import { shuffle } from '../deal/shuffle.ts'
import type { Settings } from '../settings/settings.ts'
import { timeUsed } from '../play/clock.ts'
import { newRound } from '../play/new-round.ts'
import type { Round } from '../play/round.ts'
import { highestScore, type Highest } from './highest.ts'
import { playLuckiest } from './luckiest.ts'
import { par, parHolds } from './par.ts'
import { cardCells, playNoMemory, playPerfectMemory } from './players.ts'
import { repeats } from './repeats.ts'
import { unlimited } from './unlimited.ts'

/**
 * Where a player lands who takes no time to think; time in ms. `turns` and `time` are what it takes to clear the board, `score` is what is made
 * under the level's own limits, a game that is lost among them. Means over `games` games; `exactTurns`: not sampled but known.
 */
export type Landing = { turns: number; time: number; score: number; exactTurns: boolean; games: number }
/** What a level costs: the least time in ms on its own clock, the highest score, and where two players land. */
export type Cost = { leastTime: number; highest: Highest; perfect: Landing; none: Landing }

/** So many games of a perfect memory, and about so many turns of one without any, are played. */
const GAMES = { perfect: 120, pairs: 4000, least: 12 } as const
const TURNS = 6000

/**
 * What a level costs, played through the machine. In: resolved settings and their dealer. All is seeded, so that the same level gives
 * the same figures. Who flips unseen cards at random meets them in a shuffled order wherever they lie, so the cards of a seed are all that is asked for. Cost: a few ms, up to 100 ms on the largest boards.
 */
export function costOf(settings: Settings, dealer: Dealer): Cost {
  // a clock that counts down moves its limit, one that counts up the time used
  const free = freeOf(settings)
  const first = dealer.cards('cost-0')
  const { pairs } = dealer
  const games = Math.max(GAMES.least, Math.min(GAMES.perfect, Math.floor(GAMES.pairs / pairs)))
  const land = (count: number, exactTurns: number | null, play: Player): Landing => {
    const samples = Array.from({ length: count }, (_, i) => {
      const seed = `cost-${i}`
      const cells = dealer.cards(seed)
      const cleared = newRound(free, cells, false)
      play(cleared, streamOf(seed, 'picking'))
      const ends =
        settings.clock.mode === 'down' || settings.limits.lives !== null || settings.limits.turns !== null
      const played = ends ? newRound(settings, cells, false) : cleared
      if (ends) play(played, streamOf(seed, 'picking'))
      return { turns: cleared.turns, time: timeUsed(cleared), score: played.score }
    })
    const mean = (key: 'turns' | 'time' | 'score'): number =>
      samples.reduce((sum, one) => sum + one[key], 0) / count
    const turns = exactTurns ?? mean('turns')
    return {
      turns,
      // time follows from the turns, and so does its error from theirs
      time: mean('time') + slope(samples) * (turns - mean('turns')),
      score: mean('score'),
      exactTurns: exactTurns !== null,
      games: count,
    }
  }
  return {
    leastTime: timeUsed(playLuckiest(free, first)),
    highest: highestScore(settings, first),
    perfect: land(games, parHolds(settings, first) ? par(pairs).turns : null, (round, stream) =>
      playPerfectMemory(round, shuffle(cardCells(round.cells), stream)),
    ),
    // two random face-down cards match with chance 1 in 2k − 1 while k pairs are left, however they lie
    none: land(
      Math.max(2, Math.min(GAMES.perfect, Math.round(TURNS / pairs ** 2))),
      repeats(first) ? null : pairs ** 2,
      playNoMemory,
    ),
  }
}

type Player = (round: Round, stream: Stream) => void

const freeOf = (settings: Settings): Settings => {
  const free = unlimited(settings)
  return { ...free, clock: { ...free.clock, mode: settings.clock.mode === 'up' ? 'up' : 'off' } }
}

/** By how much time grows with each turn, by least squares; 0 where all games took as many. */
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
