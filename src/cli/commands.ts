import { countWords } from '../core/count-words.ts'
import { auditBoards, type Audit } from '../core/audit/audit.ts'
import { auditLog } from '../core/audit/log.ts'
import type { ReadBoards } from '../core/files/boards-file.ts'
import { oftenOf, oftenWords } from '../core/audit/often.ts'
import { chanceWords, VERDICT_NAMES, verdictWords } from '../core/audit/words.ts'
import { prepareDeal } from '../core/deal/deal.ts'
import { isSeed, nextSeed } from '../core/deal/seed.ts'
import { dealtText, seedsFrom } from '../core/files/dealt-file.ts'
import { whereText } from '../core/findings/finding.ts'
import { findingsOf } from '../core/findings/findings.ts'
import { findingLine } from '../core/findings/words.ts'
import type { Game } from '../core/game/game.ts'
import { findLevel, type Level, resolveLevel } from '../core/settings/levels.ts'
import { tableOf } from '../core/game/check.ts'
import { differences, replay } from '../core/play/replay.ts'
import { resultOf } from '../core/play/result.ts'
import { failedChecks } from '../core/findings/failed-checks.ts'
import { givenProblem, type Expected } from '../core/play/record.ts'
import { problemLine, quoted, quotedValue } from '../core/result.ts'
import { boardsAt, gameAt, pictureLibrary, recordAt, textAt } from './files.ts'
import { Unusable, type Shell } from './shell.ts'

/** What each command does; the number is its exit code. */

const LEVELS_NAMED = 12

/** A level by its id; the first if no id is given. */
export function levelOf(game: Game, id: string | undefined): Level {
  const level = id === undefined ? game.levels[0] : findLevel(game, id)
  if (level) return level
  const ids = game.levels.slice(0, LEVELS_NAMED).map((one) => one.id)
  const more = game.levels.length - ids.length
  throw new Unusable(
    `no level ${quoted(id!)} in this game; it has ${ids.join(', ')}${more ? ` and ${more} more` : ''}`,
  )
}

export type DealOptions = { level?: string; seed?: string; count?: number; text?: boolean; csv?: boolean }

/** Without a seed, the level's own rule gives one; 1 if the level cannot be dealt. */
export function deal(path: string, options: DealOptions, shell: Shell): number {
  const game = gameAt(path, shell)
  const level = levelOf(game, options.level)
  const settings = resolveLevel(game, level)
  const dealer = prepareDeal(game.deck.pairs, settings)
  if (!dealer.ok) {
    shell.tell(`${level.id}: ${dealer.problem.at}: ${dealer.problem.message}`)
    return 1
  }
  const count = options.count ?? 1
  const seed = options.seed ?? nextSeed(settings.deal.seed, Date.now(), Date.now())
  const seeds = seedsFrom(seed, count)
  for (const one of [seeds[0]!, seeds.at(-1)!])
    if (!isSeed(one)) throw new Unusable(`--seed: ${quoted(one)} is not 1 to 64 characters long`)
  if (options.text && options.csv) throw new Unusable('--text and --csv: use only one of them')
  const format = options.text ? 'grid' : options.csv ? 'csv' : 'json'
  for (const one of seeds) {
    const text = dealtText(game, level, dealer.value, one, format)
    // each print ends its own line
    shell.print(format === 'grid' ? text : text.trimEnd())
  }
  return 0
}

/** Prints the result; 1 if the record expects something else. */
export function replayRecord(
  gamePath: string,
  recordPath: string,
  options: { events?: boolean } & Expected,
  shell: Shell,
): number {
  const game = gameAt(gamePath, shell)
  const record = recordAt(recordPath, shell)
  const other = givenProblem(record, options)
  if (other) throw new Unusable(`${recordPath}: ${problemLine(other)}`)
  if (record.game !== game.id)
    throw new Unusable(`${recordPath}: game: a record of "${record.game}", not of "${game.id}"`)
  const table = tableOf(game, record)
  if (!table.ok) {
    const { at, message } = table.problem
    if (at === 'level') throw new Unusable(`${recordPath}: level: ${message}`)
    shell.tell(`${record.level}: ${at}: ${message}`)
    return 1
  }
  const { rules, cells } = table.value
  const round = replay(rules, cells, record)
  const result = resultOf(round)
  shell.print(JSON.stringify(options.events ? { ...result, events: round.events } : result))
  const wrong = differences(record.expect ?? {}, result)
  for (const { key, expected, actual } of wrong)
    shell.tell(`expected ${key} ${quotedValue(expected)}, but it is ${quotedValue(actual)}`)
  return wrong.length ? 1 : 0
}

/** Prints the findings; 1 if one of them stops the game, or a kept check fails. */
export function check(path: string, options: { json?: boolean }, shell: Shell): number {
  const game = gameAt(path, shell)
  const findings = [...findingsOf(game, new Set(Object.keys(pictureLibrary()))), ...failedChecks(game)]
  const rows = findings.map((finding) => ({
    level: finding.severity,
    code: finding.code,
    at: whereText(finding.where),
    message: findingLine(finding, game.levels),
  }))
  if (options.json) shell.print(JSON.stringify(rows))
  else if (rows.length === 0) shell.print('no findings')
  else for (const { level, code, at, message } of rows) shell.print(`${level}  ${code}  ${at}  ${message}`)
  return rows.some(({ level, code }) => level === 'stops' || code === 'kept-check-failed') ? 1 : 0
}

/** What --json prints of an audit; also for programs that run it after every build. */
function auditJson(read: ReadBoards, { tally, report, reason }: Audit): object {
  const { board, guessed, names, leftOut, problems } = read
  const often = oftenOf(tally).map(({ pair, cards }) => ({ name: names[pair]!, cards }))
  return { ...report, reason, often, board, guessed, pairs: names.length, leftOut, problems }
}

/**
 * Prints how boards of another program were read, and whether they are a fair shuffle; 1 if they are not. Unusable if
 * there are too few to decide.
 */
export function auditDeals(
  path: string,
  options: { rows?: number; columns?: number; json?: boolean },
  shell: Shell,
): number {
  const given = boardsAt(path, options, shell)
  const { board, boards, names, guessed, problems, leftOut, twinsKnown } = given
  const audit = auditBoards(given)
  const { report, reason } = audit
  for (const problem of problems) shell.tell(`${path}: ${problem}: left out`)
  if (leftOut > problems.length) shell.tell(`${path}: and ${leftOut - problems.length} more lines left out`)
  if (guessed)
    shell.tell(
      `${path}: taken as ${board.rows} × ${board.columns}; say --rows and --columns if that is wrong`,
    )
  if (!twinsKnown) shell.tell(`${path}: every card has a name of its own, so twins are not known`)
  if (report.verdict === 'too-few') throw new Unusable(`${path}: ${verdictWords(report, 'shuffled')}`)
  if (options.json) shell.print(JSON.stringify(auditJson(given, audit)))
  else {
    shell.print(
      `${countWords(boards.length, 'board')} of ${board.rows} × ${board.columns}, ${countWords(names.length, 'pair')}`,
    )
    const { places, beside, steps, repeats } = report
    if (places)
      shell.print(
        `pair by place      chi-square ${places.statistic.toFixed(1)} on ${places.degrees.toFixed(0)} degrees of freedom, ${chanceWords(places.p)}`,
      )
    if (beside)
      shell.print(
        `twins side by side ${beside.seen.toFixed(3)} per board, ${beside.expected.toFixed(3)} expected, ${chanceWords(beside.p)}`,
      )
    if (steps)
      shell.print(
        `steps between them ${steps.meanSeen.toFixed(3)} on average, ${steps.meanExpected.toFixed(3)} expected, ${chanceWords(steps.p)}`,
      )
    shell.print(oftenWords(oftenOf(audit.tally), names))
    shell.print(`different boards   ${repeats.distinct} of ${report.deals}`)
    shell.print(`${VERDICT_NAMES[report.verdict]}. ${verdictWords(report, 'shuffled')}`)
    if (reason) shell.print(reason.message)
  }
  return report.verdict === 'unfair' ? 1 : 0
}

/** Prints the line at which the log of a game played by another program breaks the rules; 1 if it does. */
export function auditGameLog(
  gamePath: string,
  logPath: string,
  options: { json?: boolean },
  shell: Shell,
): number {
  const audit = auditLog(gameAt(gamePath, shell), textAt(logPath, shell))
  if (!audit.ok)
    throw new Unusable(
      `${logPath}: ${audit.problem.at ? `${audit.problem.at}: ` : ''}${audit.problem.message}`,
    )
  const { torn, lines, presses, breach } = audit.value
  for (const problem of torn) shell.tell(`${logPath}: ${problem}: left out`)
  if (options.json) shell.print(JSON.stringify(audit.value))
  else if (breach) shell.print(`line ${breach.line}, at ${breach.at} ms: ${breach.message}`)
  else shell.print(`${lines} lines, ${presses} presses: the rules were kept`)
  return breach ? 1 : 0
}
