import type { Report } from '../../../core/audit/report.ts'
import type { Tally } from '../../../core/audit/tally.ts'
import type { Pair } from '../../../core/deck/pair.ts'
import type { BackedUp, readBackup } from '../../../core/files/backup-file.ts'
import type { DealtFormat } from '../../../core/files/dealt-file.ts'
import type { Settings } from '../../../core/settings/settings.ts'

/** Deals of one level to be counted: numbers `from` up to but not including `to`. */
export type CountInput = {
  pairs: Pair[]
  settings: Pick<Settings, 'board' | 'fill' | 'deal'>
  seed: string
  from: number
  to: number
}
export type SumInput = { tallies: Tally[]; pairs: Pair[]; settings: CountInput['settings'] }
export type Fairness = { tally: Tally; report: Report }
/** Games of one level for rough handling, up to this many inputs. */
export type RoughInput = { pairs: Pair[]; settings: Settings; seed: string; inputs: number }
/** How many deals of one level to write. */
export type DealtInput = {
  pairs: Pair[]
  settings: Pick<Settings, 'board' | 'fill' | 'deal'>
  level: { id: string; name: string }
  seed: string
  count: number
  format: DealtFormat
}
/** Games to be packed into one file, or the bytes of such a file to be read. */
export type BackupInput = { games: BackedUp[]; settings: Record<string, string> } | { bytes: Uint8Array }
export type BackupOutput = { bytes: Uint8Array; problem: string } | { read: ReturnType<typeof readBackup> }
