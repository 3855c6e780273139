import { isSeed } from '../core/deal/seed.ts'
import { playableOf, playGames, SEED, type Playable } from '../core/odds/games.ts'
import { OddsTally, type Mean, type Odds } from '../core/odds/odds-of.ts'
import { quoted } from '../core/result.ts'
import { resolveLevel } from '../core/settings/levels.ts'
import { READY_MINDS, type Mind } from '../core/settings/mind.ts'
import { levelOf } from './commands.ts'
import { gameAt, mindAt } from './files.ts'
import { Unusable, type Shell } from './shell.ts'

const GAMES = 1000
export type OddsOptions = {
  level?: string
  mind?: string[]
  games?: number
  seed?: string
  json?: boolean
}

/** Prints how simulated players do on each level, or on one; 1 if one of them cannot be dealt. */
export function odds(path: string, options: OddsOptions, shell: Shell): number {
  const game = gameAt(path, shell)
  const levels = options.level === undefined ? game.levels : [levelOf(game, options.level)]
  const minds = options.mind?.map((name) => mindOf(name, shell)) ?? READY_MINDS
  const seed = options.seed ?? SEED
  const games = options.games ?? GAMES
  if (!isSeed(`${seed}-${games}`)) throw new Unusable(`--seed: ${quoted(seed)} is too long, or empty`)
  let code = 0
  for (const level of levels) {
    const playable = playableOf(game, resolveLevel(game, level))
    if (!playable.ok) {
      shell.tell(`${level.id}: ${playable.problem.at}: ${playable.problem.message}`)
      code = 1
      continue
    }
    for (const mind of minds) {
      const result = playedOdds(playable.value, mind, seed, games)
      if (result.games < games)
        shell.tell(
          `${level.id}  ${mind.id}: games are long here; only ${result.games} were played, not ${games}`,
        )
      shell.print(
        options.json
          ? JSON.stringify({ level: level.id, mind: mind.id, ...result })
          : `${level.id}  ${mind.id}  ${oddsWords(result)}`,
      )
    }
  }
  return code
}

/** Plays games in lots; where they are long, fewer than asked for. */
function playedOdds(level: Playable, mind: Mind, seed: string, games: number): Odds {
  const tally = new OddsTally()
  while (tally.games < games && !tally.isFull) {
    // long games come in small lots, so that few are played for nothing
    const lot = tally.games === 0 ? 1 : Math.ceil((100_000 * tally.games) / (tally.turns + 1))
    tally.add(playGames(level, mind, seed, tally.games + 1, Math.min(games, tally.games + lot)))
  }
  return tally.odds()
}

/** A built-in mind by its id, or one from a file. */
export function mindOf(name: string, shell: Shell): Mind {
  const ready = READY_MINDS.find(({ id }) => id === name)
  if (ready) return ready
  if (/\.json$/i.test(name)) return mindAt(name, shell)
  throw new Unusable(
    `--mind: no mind ${quoted(name)}; there are ${READY_MINDS.map(({ id }) => id).join(', ')}, or a NAME.mind.json`,
  )
}

export const percent = (share: number): string => (share * 100).toFixed(1)
const meanWords = ({ mean, error }: Mean, unit = 1): string =>
  `${(mean / unit).toFixed(1)}${error === null ? '' : ` ± ${(error / unit).toFixed(1)}`}`

function oddsWords({ games, won, interval: [low, high], lostBy, turns, time, score }: Odds): string {
  const lost = (['clock', 'lives', 'turns'] as const).filter((by) => lostBy[by] > 0)
  const unfinished = games - won - lost.reduce((sum, by) => sum + lostBy[by], 0)
  return [
    `wins ${percent(won / games)} of 100 (${percent(low)} to ${percent(high)})`,
    ...(lost.length ? [`lost by ${lost.map((by) => `${by} ${lostBy[by]}`).join(', ')}`] : []),
    ...(unfinished ? [`${unfinished} given up without an end`] : []),
    `turns ${meanWords(turns)}`,
    `seconds ${meanWords(time, 1000)}`,
    `score ${meanWords(score)}`,
  ].join('; ')
}
