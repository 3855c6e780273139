import { arrangedCells } from '../deal/arranged.ts'
import { prepareDeal, type Cells, type Dealer, type DealProblem } from '../deal/deal.ts'
import type { Check, PlayedGame } from '../play/record.ts'
import { differences, replay } from '../play/replay.ts'
import { resultOf, type RoundResult } from '../play/result.ts'
import { firstDifference, storyOf } from '../play/tape.ts'
import { bad, good, quoted, type Problem, type Result } from '../result.ts'
import { findLevel, resolveLevel, type Level } from '../settings/levels.ts'
import { newId } from '../settings/new-id.ts'
import type { Settings } from '../settings/settings.ts'
import type { Game } from './game.ts'

type Prepared = { house: Settings; pairs: Game['deck']['pairs']; dealer: Result<Dealer, DealProblem> }
const prepared = new WeakMap<Level, Prepared>()

/**
 * A level's dealer, made once for as long as that level, the house rules and the deck are the same values: a game may
 * have a thousand checks.
 */
function dealerOf({ house, deck }: Game, level: Level, rules: Settings): Prepared['dealer'] {
  const cached = prepared.get(level)
  if (cached?.house === house && cached.pairs === deck.pairs) return cached.dealer
  const dealer = prepareDeal(deck.pairs, rules)
  prepared.set(level, { house, pairs: deck.pairs, dealer })
  return dealer
}

/**
 * The board and the rules of a played game, as the game's level is now. What can go wrong: the level is missing or
 * cannot be dealt, or the stored deal does not fit it.
 */
export function tableOf(
  game: Game,
  playedGame: Pick<PlayedGame, 'level' | 'seed' | 'deal'>,
): Result<{ rules: Settings; cells: Cells }> {
  const level = findLevel(game, playedGame.level)
  if (!level) return bad('level', `no level ${quoted(playedGame.level)} in this game`)
  const rules = resolveLevel(game, level)
  if (playedGame.deal) {
    const cells = arrangedCells(game.deck.pairs, rules.board, playedGame.deal)
    return cells.ok ? good({ rules, cells: cells.value }) : bad('deal', cells.problem.message)
  }
  const dealer = dealerOf(game, level, rules)
  if (!dealer.ok) return bad(dealer.problem.at, dealer.problem.message)
  return good({ rules, cells: dealer.value.deal(playedGame.seed) })
}

/** The outcome of a kept check: an empty `wrong` is good. `turn` is where the game first differs, 0 if it does not. */
export type CheckOutcome = {
  id: string
  /** why it could not be played at all */
  problem: Problem | null
  result: RoundResult | null
  wrong: { key: string; expected: unknown; actual: unknown }[]
  turn: number
}

export const passed = ({ problem, wrong }: CheckOutcome): boolean => !problem && wrong.length === 0

/** Plays a kept check by the current rules. */
export function runCheck(game: Game, check: Check): CheckOutcome {
  const table = tableOf(game, check)
  if (!table.ok) return { id: check.id, problem: table.problem, result: null, wrong: [], turn: 0 }
  const { rules, cells } = table.value
  const round = replay(rules, cells, check)
  const result = resultOf(round)
  const story = storyOf(round.events!, rules.board.columns)
  const turn = check.story ? firstDifference(check.story, story) : 0
  const wrong: CheckOutcome['wrong'] = differences(check.expect, result)
  if (turn) wrong.push({ key: `turn ${turn}`, expected: check.story![turn - 1], actual: story[turn - 1] })
  return { id: check.id, problem: null, result, wrong, turn }
}

/** A game just played, as a check that expects the same outcome in every figure. What can go wrong: as `tableOf`. */
export function checkOf(game: Game, playedGame: PlayedGame, name: string): Check | null {
  const table = tableOf(game, playedGame)
  if (!table.ok) return null
  const { rules, cells } = table.value
  const round = replay(rules, cells, playedGame)
  const { level, seed, deal, inputs, until } = playedGame
  return {
    id: newId(
      name,
      (game.checks ?? []).map((one) => one.id),
      'check',
    ),
    name,
    level,
    seed,
    ...(deal && { deal }),
    inputs,
    ...(until !== undefined && { until }),
    story: storyOf(round.events!, rules.board.columns),
    expect: resultOf(round),
  }
}
