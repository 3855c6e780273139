import { auditLog, type LogAudit } from '../../../../core/audit/log.ts'
import { readRecord } from '../../../../core/files/record-file.ts'
import { runCheck, type CheckOutcome } from '../../../../core/game/check.ts'
import type { Game } from '../../../../core/game/game.ts'
import { fitMind, type Fit } from '../../../../core/odds/fit.ts'
import { gatherEvidence, type EvidenceSummary, type NamedRecord } from '../../../../core/odds/fit-records.ts'
import { problemLine, type Result } from '../../../../core/result.ts'
import type { Report } from './messages.ts'

/** Runs all kept checks of a game by its current rules. */
export function runChecks(game: Game, { progress }: Report): CheckOutcome[] {
  const checks = game.checks ?? []
  return checks.map((check, i) => {
    if (i % 20 === 0) progress(i / checks.length)
    return runCheck(game, check)
  })
}

/** A fitted mind, the records that it comes from, and those left out, each with its reason. */
export type FittedRecords = { fit: Fit } & Pick<EvidenceSummary, 'used' | 'left'>
/** The mind that fits records: files, and those that are kept, by name. */
export function fitRecords({
  game,
  files,
  kept,
}: {
  game: Game
  files: { name: string; text: string }[]
  kept: NamedRecord[]
}): FittedRecords {
  const broken: EvidenceSummary['left'] = []
  const records = [...kept]
  for (const { name, text } of files) {
    const read = readRecord(text)
    if (read.ok) records.push({ name, record: read.value })
    else broken.push({ name, why: problemLine(read.problem) })
  }
  const { shown, used, left } = gatherEvidence(game, records)
  return { fit: fitMind(shown), used, left: [...broken, ...left] }
}

/** What another program's log says of the rules of a game. */
export const readLog = (
  { game, text }: { game: Game; text: string },
  { progress }: Report,
): Result<LogAudit> => auditLog(game, text, progress)
