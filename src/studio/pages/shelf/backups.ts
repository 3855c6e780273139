import type { BackedUp, Backup } from '../../../core/files/backup-file.ts'
import { CHOICES } from '../../parts/settings/useChoice.ts'
import { startJob } from '../../workers/jobs/job.ts'
import type { BackupInput, BackupOutput } from '../../workers/jobs/messages.ts'

const run = (input: BackupInput): Promise<BackupOutput> =>
  startJob<BackupInput, BackupOutput>(
    new Worker(new URL('../../workers/jobs/backup.worker.ts', import.meta.url), { type: 'module' }),
    input,
  ).done

/** All games as one file, which was read back. Throws with words for people if it does not give back all of them. */
export async function packShelf(games: BackedUp[]): Promise<Uint8Array> {
  const keys = Object.keys(localStorage).filter((key) => key.startsWith(CHOICES))
  const settings = Object.fromEntries(keys.map((key) => [key, localStorage.getItem(key)!]))
  const result = await run({ games, settings })
  if (!('bytes' in result)) throw new Error('no file was made')
  if (result.problem) throw new Error(result.problem)
  return result.bytes
}

/** The content of a backup. Throws with words for people if it cannot be read. */
export async function unpackShelf(file: File): Promise<Backup> {
  const answer = await run({ bytes: new Uint8Array(await file.arrayBuffer()) })
  if (!('read' in answer)) throw new Error('nothing was read')
  const { read } = answer
  if (!read.ok)
    throw new Error(read.problem.at ? `${read.problem.at}: ${read.problem.message}` : read.problem.message)
  return read.value
}

/** Applies the settings of a backup; only the studio's own. */
export function takeSettings(settings: Record<string, string>): void {
  for (const [key, value] of Object.entries(settings))
    if (key.startsWith(CHOICES)) localStorage.setItem(key, value)
}
