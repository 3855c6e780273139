import type { Game } from '../game/game.ts'
import { passed, runCheck } from '../game/check.ts'
import { quotedValue } from '../result.ts'
import type { Finding } from './finding.ts'

/** A finding for each kept check that no longer comes out the same. */
export function failedChecks(game: Game): Finding[] {
  return (game.checks ?? []).flatMap((check, i) => {
    const outcome = runCheck(game, check)
    if (passed(outcome)) return []
    const [first] = outcome.wrong
    const why = outcome.problem
      ? outcome.problem.message
      : `expected ${first!.key} ${quotedValue(first!.expected)}, but it is ${quotedValue(first!.actual)}`
    return [
      {
        severity: 'warns',
        code: 'kept-check-failed',
        where: { level: null, section: 'checks', key: `[${i}]` },
        values: { check: check.name, why },
      },
    ]
  })
}
