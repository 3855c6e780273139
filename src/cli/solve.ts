import { countWords } from '../core/count-words.ts'
import { writeGame } from '../core/files/game-file.ts'
import { fitMind, TOO_FEW, type Fit, type FittedValue } from '../core/odds/fit.ts'
import { gatherEvidence } from '../core/odds/fit-records.ts'
import { playableOf, SEED } from '../core/odds/games.ts'
import { leverPatch, type Lever } from '../core/odds/levers.ts'
import { solve as solveFor, type Solution } from '../core/odds/solve.ts'
import { resolveLevel, writeSettings } from '../core/settings/levels.ts'
import { levelOf } from './commands.ts'
import { gameAt, recordAt, writeAt } from './files.ts'
import { mindOf, percent } from './odds.ts'
import type { Shell } from './shell.ts'

export type SolveOptions = {
  level: string
  mind: string
  win: number
  by: Lever
  seed?: string
  json?: boolean
  write?: string
}

/**
 * The value of a rule with which a mind wins a share of its games; 1 if no value does it, or the level cannot be dealt.
 */
export function solve(path: string, options: SolveOptions, shell: Shell): number {
  const game = gameAt(path, shell)
  const level = levelOf(game, options.level)
  const playable = playableOf(game, resolveLevel(game, level))
  if (!playable.ok) {
    shell.tell(`${level.id}: ${playable.problem.at}: ${playable.problem.message}`)
    return 1
  }
  const mind = mindOf(options.mind, shell)
  const { by, win: share } = options
  const solution = solveFor(playable.value, { mind, by, share }, options.seed ?? SEED)
  if (options.json)
    shell.print(JSON.stringify({ level: level.id, mind: mind.id, by, win: share, ...solution }))
  else shell.print(solvedWords(solution, by))
  if (!solution.ok) return 1
  if (options.write !== undefined) {
    const { section, patch } = leverPatch(by, solution.value)
    writeAt(options.write, writeGame(writeSettings(game, level.id, section, patch)), shell)
  }
  return 0
}

const valueWords = (by: Lever, value: number): string =>
  by === 'lives' || by === 'turns' ? `${value} ${by}` : `${by} ${value / 1000} s`

function solvedWords(solution: Solution, by: Lever): string {
  const { share, interval, games } = solution.wins
  const wins = `wins ${percent(share)} of 100 (${percent(interval[0])} to ${percent(interval[1])}) of ${games} fresh games`
  if (solution.ok) {
    const [from, to] = solution.range.map((value) => valueWords(by, value))
    return `${valueWords(by, solution.value)}; ${wins}; ${from} to ${to} would do as well`
  }
  const why =
    solution.why === 'no-effect'
      ? 'this rule changes nothing here'
      : `most other games end by ${solution.most ?? 'nothing'}`
  return `no value works; the best is ${valueWords(by, solution.value)}, which ${wins}: ${why}`
}

/** The mind that fits the records of a game; 1 if there are too few for any figure. */
export function fit(
  path: string,
  records: readonly string[],
  options: { json?: boolean },
  shell: Shell,
): number {
  const game = gameAt(path, shell)
  const { shown, used, left } = gatherEvidence(
    game,
    records.map((name) => ({ name, record: recordAt(name, shell) })),
  )
  for (const { name, why } of left) shell.tell(`${name}: left out: ${why}`)
  const fitted = fitMind(shown)
  shell.print(options.json ? JSON.stringify({ records: used, left, ...fitted }) : fitWords(fitted, used))
  return fitted.notice || fitted.first ? 0 : 1
}

const figure = (name: string, fitted: FittedValue | null, digits: number): string => {
  if (!fitted) return `${name} unknown`
  const [low, high] = fitted.interval
  return `${name} ${fitted.value.toFixed(digits)} (${low.toFixed(digits)} to ${high.toFixed(digits)})`
}
function fitWords({ turns, notice, fade, first, second, spread }: Fit, records: number): string {
  return [
    countWords(records, 'record'),
    `${countWords(turns, 'turn shows', 'turns show')} what was remembered${turns < TOO_FEW ? `, ${TOO_FEW} are needed` : ''}`,
    figure('notice', notice, 3),
    figure('fade', fade, 3),
    figure('first', first, 0),
    figure('second', second, 0),
    figure('spread', spread, 2),
  ].join('; ')
}
