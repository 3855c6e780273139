import { Command, CommanderError, InvalidArgumentError, Option } from 'commander'
import { fileURLToPath } from 'node:url'
import { BOUNDS } from '../core/settings/settings.ts'
import { KIT_BOUNDS } from '../ship/kit/cards.ts'
import * as commands from './commands.ts'
import { Unusable } from './files.ts'
import { odds, type OddsOptions } from './odds.ts'
import { ship, SHIPPED_AS, type ShipOptions } from './ship.ts'
import { fit, leverOf, shareOf, solve, type SolveOptions } from './solve.ts'

/** The command line. Exit 0: done; 1: the answer is no; 2: the call or a file is unusable, with one line that says why. */

const out: commands.Out = {
  print: (line) => process.stdout.write(line + '\n'),
  tell: (line) => process.stderr.write(line + '\n'),
}

/** Reads a whole number within bounds, both included. */
const within =
  ([low, high]: readonly [number, number]) =>
  (text: string): number => {
    const number = Number(text)
    if (!Number.isInteger(number) || number < low || number > high)
      throw new InvalidArgumentError(
        `a whole number from ${low} to ${high.toLocaleString('en')} is expected.`,
      )
    return number
  }
const countOf = within([1, 10_000_000])
const sideOf = within([1, BOUNDS.cards[1]])

/** An option that may be given more than once. */
const gather = (text: string, before: string[] = []): string[] => [...before, text]

const program = new Command('lucky-twin')
  .description('Deals, replays, checks, audits and ships pair-matching games.')
  .exitOverride()
  .configureOutput({ writeErr: () => undefined })
let code = 0

program
  .command('deal')
  .description('deal a level: one JSON line each, or a grid for people')
  .argument('<game>', 'NAME.game.json or NAME.game.zip')
  .option('--level <id>', 'the level; the first if left out')
  .option('--seed <text>', 'the seed; with a count N, the seeds are TEXT-1 … TEXT-N')
  .option('--count <n>', 'how many deals', countOf)
  .option('--text', 'draw the board as a grid')
  .option('--csv', 'a board a row, cell by cell')
  .action((game: string, options: commands.DealOptions) => {
    code = commands.deal(game, options, out)
  })
program
  .command('replay')
  .description('play a record again and print its result')
  .argument('<game>')
  .argument('<record>', 'NAME.play.json')
  .option('--events', 'print every event too')
  .action((game: string, record: string, options: { events?: boolean }) => {
    code = commands.replayRecord(game, record, options, out)
  })
program
  .command('check')
  .description('print the findings of a game')
  .argument('<game>')
  .option('--json', 'as JSON')
  .action((game: string, options: { json?: boolean }) => {
    code = commands.check(game, options, out)
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
  .option('--games <n>', 'how many games of each, 1,000 if left out', countOf)
  .option('--seed <text>', 'the seed of all games; "odds" if left out')
  .option('--json', 'a JSON line for each level and mind')
  .action((game: string, options: OddsOptions) => {
    code = odds(game, options, out)
  })
program
  .command('solve')
  .description('the value of a rule with which a mind wins a share of its games')
  .argument('<game>')
  .requiredOption('--level <id>', 'the level')
  .requiredOption('--mind <id>', 'perfect, keen, everyday, fleeting, none, or NAME.mind.json')
  .requiredOption('--win <share>', 'the share of games to be won, 0.7 for 7 of 10', shareOf)
  .requiredOption('--by <rule>', 'clock, lives, turns, first-look or miss-look', leverOf)
  .option('--seed <text>', 'the seed of all games; "odds" if left out')
  .option('--json', 'as JSON')
  .option('--write <file>', 'write the game with that value, NAME.game.json')
  .action((game: string, options: SolveOptions) => {
    code = solve(game, options, out)
  })
program
  .command('fit')
  .description('the mind that fits the games that were played')
  .argument('<game>')
  .argument('<record...>', 'NAME.play.json')
  .option('--json', 'as JSON')
  .action((game: string, records: string[], options: { json?: boolean }) => {
    code = fit(game, records, options, out)
  })
const audit = program.command('audit').description('test what another program made')
audit
  .command('deals')
  .description(
    'whether deals are a fair shuffle: JSON lines, CSV with one board per row, or one board per line of any words',
  )
  .argument('<file>')
  .option('--rows <n>', 'rows of the boards', sideOf)
  .option('--columns <n>', 'columns of the boards', sideOf)
  .option('--json', 'as JSON')
  .action((file: string, options: { rows?: number; columns?: number; json?: boolean }) => {
    code = commands.auditDeals(file, options, out)
  })
audit
  .command('log')
  .description('at which line the log of a game breaks the rules: JSON lines, the deal first')
  .argument('<game>')
  .argument('<log>')
  .option('--json', 'as JSON')
  .action((game: string, log: string, options: { json?: boolean }) => {
    code = commands.auditGameLog(game, log, options, out)
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
  .option('--width <px>', 'of a card in a kit, at its smallest', within(KIT_BOUNDS.width))
  .option('--deals <n>', 'how many deals of each level are in a kit', within(KIT_BOUNDS.deals))
  .option('--games <n>', 'how many test games of each level are in a kit', within(KIT_BOUNDS.games))
  .action(async (game: string, options: ShipOptions) => {
    const built = fileURLToPath(new URL('..', import.meta.url))
    code = await ship(game, options, built, out)
  })

// a reader that has seen enough closes the pipe
process.stdout.on('error', (error: NodeJS.ErrnoException) => process.exit(error.code === 'EPIPE' ? 0 : 2))

try {
  await program.parseAsync()
} catch (error) {
  if (error instanceof CommanderError) {
    if (error.exitCode !== 0) {
      const why =
        error.code === 'commander.help'
          ? 'a command is needed: deal, replay, check, odds, solve, fit, audit deals, audit log or ship'
          : error.message
      out.tell(
        why
          .slice(0, 400)
          .replace(/^error: /, '')
          .replace(/\s*\n\s*/g, ' '),
      )
      code = 2
    }
  } else if (error instanceof Unusable) {
    out.tell(error.message)
    code = 2
  } else throw error
}
process.exitCode = code
