import { backupProblem, readBackup, writeBackup, type BackedUp } from '../../../../core/files/backup-file.ts'
import { zipOf } from '../../../../ship/zip.ts'
import type { Report } from './messages.ts'

/** Files as a zip. */
export function packFiles(files: Record<string, Uint8Array>, { handOver }: Report): Uint8Array<ArrayBuffer> {
  const zip = zipOf(files)
  handOver([zip.buffer])
  return zip
}

/** A whole shelf as one file, and what is wrong with it when it is read back: an empty text if nothing is. */
export function packBackup({ games, settings }: { games: BackedUp[]; settings: Record<string, string> }): {
  bytes: Uint8Array
  problem: string
} {
  const bytes = writeBackup(games, settings, new Date().toISOString())
  return { bytes, problem: backupProblem(bytes, games) }
}

/** The content of a backup. */
export const openBackup = (bytes: Uint8Array): ReturnType<typeof readBackup> => readBackup(bytes)
