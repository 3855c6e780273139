import { readBackup, writeBackup } from '../../../core/files/backup-file.ts'
import { answer } from './answer.ts'
import type { BackupInput, BackupOutput } from './messages.ts'

/** Packs a whole shelf, or unpacks one. */
answer<BackupInput, BackupOutput>((input) =>
  'bytes' in input
    ? { read: readBackup(input.bytes) }
    : { bytes: writeBackup(input.games, input.settings, new Date().toISOString()) },
)
