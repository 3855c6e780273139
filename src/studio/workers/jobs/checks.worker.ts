import type { Game } from '../../../core/game/game.ts'
import { runCheck, type Checked } from '../../../core/game/check.ts'
import { answer } from './answer.ts'

/** Runs all kept checks of a game by its current rules. */
answer<Game, Checked[]>((game, progress) => {
  const checks = game.checks ?? []
  return checks.map((check, i) => {
    if (i % 20 === 0) progress(i / checks.length)
    return runCheck(game, check)
  })
})
