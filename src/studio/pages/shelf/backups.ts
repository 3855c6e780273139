import type { BackedUp, Backup } from '../../../core/files/backup-file.ts'
import { problemLine } from '../../../core/result.ts'
import { CHOICES } from '../../parts/settings/useChoice.ts'
import { startJob } from '../../workers/jobs/job.ts'

/** All games as one file, which was read back. Throws with words for people if it does not give back all of them. */
export async function packShelf(games: BackedUp[]): Promise<Uint8Array> {
  const keys = Object.keys(localStorage).filter((key) => key.startsWith(CHOICES))
  const settings = Object.fromEntries(keys.map((key) => [key, localStorage.getItem(key)!]))
  const { bytes, problem } = await startJob('packBackup', { games, settings }).done
  if (problem) throw new Error(problem)
  return bytes
}

/** The content of a backup. Throws with words for people if it cannot be read. */
export async function unpackShelf(file: File): Promise<Backup> {
  const backup = await startJob('openBackup', new Uint8Array(await file.arrayBuffer())).done
  if (!backup.ok) throw new Error(problemLine(backup.problem))
  return backup.value
}

/** Applies the settings of a backup; only the studio's own. */
export function takeSettings(settings: Record<string, string>): void {
  for (const [key, value] of Object.entries(settings))
    if (key.startsWith(CHOICES)) localStorage.setItem(key, value)
}
