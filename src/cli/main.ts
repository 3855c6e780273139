import { Command, CommanderError, Option } from 'commander'
import type { Writable } from 'node:stream'
import { KIT_BOUNDS } from '../ship/kit/cards.ts'
import { gather, readCount, readLever, readShare, readSide, SHIPPED_AS, wholeNumber } from './arguments.ts'
import type { Expected } from '../core/play/record.ts'
import type { DealOptions } from './commands.ts'
import type { OddsOptions } from './odds.ts'
import type { ShipOptions } from './ship.ts'
import type { SolveOptions } from './solve.ts'
import { Unusable, type Shell } from './shell.ts'

type Streams = { stdout: Writable; stderr: Writable }
type Folders = Pick<Shell, 'folder' | 'built'>

/**
 * The command line. In: the words after the program's name; where data and messages go; the folder that paths start
 * from, and the one that the build has filled. Out: the exit code. 0: done; 1: the answer is no; 2: the call or a file
 * is unusable, with one line that says why. What a command needs is loaded when it is called.
 */
export async function main(
  words: readonly string[],
  { stdout, stderr }: Streams,
  folders: Folders,
): Promise<number> {
  const shell: Shell = {
    print: (line) => stdout.write(line + '\n'),
    tell: (line) => stderr.write(line + '\n'),
    ...folders,
  }
  let code = 0
  const program = new Command('lucky-twin')
    .description('Deals, replays, checks, audits and ships pair-matching games.')
    .exitOverride()
    .configureOutput({ writeOut: (text) => stdout.write(text), writeErr: () => undefined })

  program
    .command('deal')
    .description('deal a level: one JSON line each, or a grid for people')
    .argument('<game>', 'NAME.game.json or NAME.game.zip')
    .option('--level <id>', 'the level; the first if left out')
    .option('--seed <text>', 'the seed; with a count N, the seeds are TEXT-1 … TEXT-N')
    .option('--count <n>', 'how many deals', readCount)
    .option('--text', 'draw the board as a grid')
    .option('--csv', 'a board a row, cell by cell')
    .action(async (game: string, options: DealOptions) => {
      const { deal } = await import('./commands.ts')
      code = deal(game, options, shell)
    })
  program
    .command('replay')
    .description('play a record again and print its result')
    .argument('<game>')
    .argument('<record>', 'NAME.play.json')
    .option('--events', 'print every event too')
    .option('--seed <text>', 'refuse a record of another seed, or with a deal of its own')
    .option('--level <id>', 'refuse a record of another level')
    .action(async (game: string, record: string, options: { events?: boolean } & Expected) => {
      const { replayRecord } = await import('./commands.ts')
      code = replayRecord(game, record, options, shell)
    })
  program
    .command('check')
    .description('print the findings of a game')
    .argument('<game>')
    .option('--json', 'as JSON')
    .action(async (game: string, options: { json?: boolean }) => {
      const { check } = await import('./commands.ts')
      code = check(game, options, shell)
    })
  program
    .command('odds')
    .description('how simulated players do on each level')
    .argument('<game>')
    .option('--level <id>', 'one level; all if left out')
    .option(
      '--mind <id>',
      'perfect, keen, everyday, fleeting, none, or NAME.mind.json; may be given again',
      gather,
    )
    .option('--games <n>', 'how many games of each, 1,000 if left out', readCount)
    .option('--seed <text>', 'the seed of all games; "odds" if left out')
    .option('--json', 'a JSON line for each level and mind')
    .action(async (game: string, options: OddsOptions) => {
      const { odds } = await import('./odds.ts')
      code = odds(game, options, shell)
    })
  program
    .command('solve')
    .description('the value of a rule with which a mind wins a share of its games')
    .argument('<game>')
    .requiredOption('--level <id>', 'the level')
    .requiredOption('--mind <id>', 'perfect, keen, everyday, fleeting, none, or NAME.mind.json')
    .requiredOption('--win <share>', 'the share of games to be won, 0.7 for 7 of 10', readShare)
    .requiredOption('--by <rule>', 'clock, lives, turns, first-look or miss-look', readLever)
    .option('--seed <text>', 'the seed of all games; "odds" if left out')
    .option('--json', 'as JSON')
    .option('--write <file>', 'write the game with that value, NAME.game.json')
    .action(async (game: string, options: SolveOptions) => {
      const { solve } = await import('./solve.ts')
      code = solve(game, options, shell)
    })
  program
    .command('fit')
    .description('the mind that fits the games that were played')
    .argument('<game>')
    .argument('<record...>', 'NAME.play.json')
    .option('--json', 'as JSON')
    .action(async (game: string, records: string[], options: { json?: boolean }) => {
      const { fit } = await import('./solve.ts')
      code = fit(game, records, options, shell)
    })
  const audit = program.command('audit').description('test what another program made')
  audit
    .command('deals')
    .description(
      'whether deals are a fair shuffle: JSON lines, CSV with one board per row, or one board per line of any words',
    )
    .argument('<file>')
    .option('--rows <n>', 'rows of the boards', readSide)
    .option('--columns <n>', 'columns of the boards', readSide)
    .option('--json', 'as JSON')
    .action(async (file: string, options: { rows?: number; columns?: number; json?: boolean }) => {
      const { auditDeals } = await import('./commands.ts')
      code = auditDeals(file, options, shell)
    })
  audit
    .command('log')
    .description('at which line the log of a game breaks the rules: JSON lines, the deal first')
    .argument('<game>')
    .argument('<log>')
    .option('--json', 'as JSON')
    .action(async (game: string, log: string, options: { json?: boolean }) => {
      const { auditGameLog } = await import('./commands.ts')
      code = auditGameLog(game, log, options, shell)
    })
  program
    .command('ship')
    .description(
      'write the playable page, a site that installs, the rules as a module, a project to go on with, or a kit for any engine',
    )
    .argument('<game>')
    .requiredOption(
      '--to <file>',
      'the file to write: NAME.html for a page, NAME.tgz for the engine, NAME.zip for the others',
    )
    .addOption(new Option('--as <what>', 'what it becomes').choices(Object.keys(SHIPPED_AS)).default('page'))
    .option(
      '--lang <tag>',
      'a language that it speaks, such as de; may be given again, the first is its own',
      gather,
    )
    .option('--licences <file>', 'also write the licences of what is inside, in full')
    .option('--width <px>', 'of a card in a kit, at its smallest', wholeNumber(KIT_BOUNDS.width))
    .option('--deals <n>', 'how many deals of each level are in a kit', wholeNumber(KIT_BOUNDS.deals))
    .option('--games <n>', 'how many test games of each level are in a kit', wholeNumber(KIT_BOUNDS.games))
    .action(async (game: string, options: ShipOptions) => {
      const { ship } = await import('./ship.ts')
      code = await ship(game, options, shell)
    })

  try {
    await program.parseAsync(words, { from: 'user' })
    return code
  } catch (error) {
    if (error instanceof CommanderError && error.exitCode === 0) return 0
    if (!(error instanceof CommanderError || error instanceof Unusable)) throw error
    shell.tell(error instanceof Unusable ? error.message : callProblem(error))
    return 2
  }
}

/** What is wrong with a call, in one line. */
function callProblem({ code, message }: CommanderError): string {
  if (code === 'commander.help')
    return 'a command is needed: deal, replay, check, odds, solve, fit, audit deals, audit log or ship'
  return message
    .slice(0, 400)
    .replace(/^error: /, '')
    .replace(/\s*\n\s*/g, ' ')
}
