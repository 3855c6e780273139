import { mkdirSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { unzipSync } from 'fflate'
import { luckyTwin } from './lucky-twin.ts'

/** Unpacks a zip into a folder of its own. Out: the folder. */
export function unpacked(zip: string): string {
  const folder = mkdtempSync(join(tmpdir(), 'unpacked-'))
  for (const [name, content] of Object.entries(unzipSync(readFileSync(zip)))) {
    const path = join(folder, name)
    mkdirSync(dirname(path), { recursive: true })
    writeFileSync(path, content)
  }
  return folder
}

/** What a game becomes as a zip on the command line, unpacked. Out: the folder, and the zip. */
export async function shipped(game: string, as: 'site' | 'project' | 'kit', ...more: string[]) {
  const zip = join(mkdtempSync(join(tmpdir(), 'shipped-')), `${as}.zip`)
  await luckyTwin('ship', game, '--as', as, '--to', zip, ...more)
  return { folder: unpacked(zip), zip }
}
