import type { Pair } from '../../../core/deck/pair.ts'
import { readDeal } from '../../../core/files/deal-file.ts'
import type { Game } from '../../../core/game/game.ts'
import type { PlayedGame } from '../../../core/play/record.ts'
import type { Result } from '../../../core/result.ts'
import { findLevel, withOwn } from '../../../core/settings/levels.ts'
import { drawnGame } from '../../store/sound-images.ts'

/** The table of Play: a game as it is tried there, and a deal that was given as a line. */

/** The game as it is, or with the twins of one level dealt side by side. */
export function triedGame(whole: Game, rung: string | null, inOrder: boolean): Game {
  const game = drawnGame(whole)
  const level = findLevel(game, rung ?? undefined)
  if (!inOrder || !level) return game
  const ordered = withOwn(level, 'deal', { way: 'in-order' })
  return { ...game, levels: game.levels.map((one) => (one === level ? ordered : one)) }
}

/** A deal given as a line of JSON, as a fresh round on it; or the line's problem. */
export function readDealt(line: string, pairs: readonly Pair[]): Result<PlayedGame> {
  const lineDeal = readDeal(line, pairs)
  if (!lineDeal.ok) return lineDeal
  const { level, seed } = lineDeal.value
  const deal = (JSON.parse(line) as { cells: (string | null)[] }).cells
  return { ok: true, value: { level, seed, deal, inputs: [] } }
}
