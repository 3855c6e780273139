import { backupProblem, readBackup, writeBackup } from '../../../core/files/backup-file.ts'
import { answer } from './answer.ts'
import type { BackupInput, BackupOutput } from './messages.ts'

/** Packs a whole shelf, and reads it back; or unpacks one. */
answer<BackupInput, BackupOutput>((input) => {
  if ('bytes' in input) return { read: readBackup(input.bytes) }
  const bytes = writeBackup(input.games, input.settings, new Date().toISOString())
  return { bytes, problem: backupProblem(bytes, input.games) }
})
