import { tableOf } from '../game/check.ts'
import type { Game } from '../game/game.ts'
import { replay } from '../play/replay.ts'
import { firstDifference, storyOf } from '../play/tape.ts'
import type { PlayedGame } from '../play/record.ts'
import { quoted } from '../result.ts'
import { joinEvidence, evidenceOf, type MemoryEvidence } from './memory-evidence.ts'

/** A played game by its name, and the game it belongs to. */
export type NamedRecord = { name: string; record: PlayedGame & { game?: string } }
/** What records show about their player: how many were used, and which were not, and why. */
export type EvidenceSummary = { shown: MemoryEvidence; used: number; left: { name: string; why: string }[] }

/**
 * Gathers what records of a game show. A record that no longer plays the same, because its level has changed, is left
 * out.
 */
export function gatherEvidence(game: Game, records: readonly NamedRecord[]): EvidenceSummary {
  const evidence: MemoryEvidence[] = []
  const refusals: EvidenceSummary['left'] = []
  for (const { name, record } of records) {
    const one = shownOf(game, record)
    if (typeof one === 'string') refusals.push({ name, why: one })
    else evidence.push(one)
  }
  return { shown: joinEvidence(evidence), used: evidence.length, left: refusals }
}

/** What a record shows, or why it does not fit. */
function shownOf(game: Game, record: NamedRecord['record']): MemoryEvidence | string {
  if (record.game !== undefined && record.game !== game.id) return `a record of ${quoted(record.game)}`
  const table = tableOf(game, record)
  if (!table.ok) return `${table.problem.at}: ${table.problem.message}`
  const { rules, cells } = table.value
  if (rules.players.minds.some((id) => id !== null)) return 'a mind plays along on its level'
  if (record.story) {
    const story = storyOf(replay(rules, cells, record).events!, rules.board.columns)
    const turn = firstDifference(record.story, story)
    if (turn > 0) return `its level has changed since: turn ${turn} plays another way`
  }
  return evidenceOf(rules, cells, record)
}
