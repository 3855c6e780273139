import type { Game } from '../game/game.ts'
import type { Problem } from '../result.ts'
import { resultOf, type RoundResult } from './result.ts'
import { tableOf, type Check, type Played } from './record.ts'
import { differences, replay } from './replay.ts'
import { firstDifference, storyOf } from './tape.ts'
import { newId } from '../game/new-id.ts'

/** What came of a kept check: nothing `wrong` is good. `turn` is where the game first goes another way, 0 if it does not. */
export type Checked = {
  id: string
  /** why it could not be played at all */
  problem: Problem | null
  result: RoundResult | null
  wrong: { key: string; expected: unknown; actual: unknown }[]
  turn: number
}

export const passed = ({ problem, wrong }: Checked): boolean => !problem && wrong.length === 0

/** Plays a kept check by the rules as they stand now. */
export function runCheck(game: Game, check: Check): Checked {
  const table = tableOf(game, check)
  if (!table.ok) return { id: check.id, problem: table.problem, result: null, wrong: [], turn: 0 }
  const { rules, cells } = table.value
  const round = replay(rules, cells, check)
  const result = resultOf(round)
  const story = storyOf(round.events!, rules.board.columns)
  const turn = check.story ? firstDifference(check.story, story) : 0
  const wrong: Checked['wrong'] = differences(check.expect, result)
  if (turn) wrong.push({ key: `turn ${turn}`, expected: check.story![turn - 1], actual: story[turn - 1] })
  return { id: check.id, problem: null, result, wrong, turn }
}

/** A game just played, as a check that expects all of what came of it. What can go wrong: as `tableOf`. */
export function checkOf(game: Game, played: Played, name: string): Check | null {
  const table = tableOf(game, played)
  if (!table.ok) return null
  const { rules, cells } = table.value
  const round = replay(rules, cells, played)
  const { level, seed, deal, inputs, until } = played
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
