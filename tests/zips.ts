import { expect } from '@playwright/test'
import { spawnSync } from 'node:child_process'
import { mkdirSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { unzipSync } from 'fflate'

/** Runs the command line. Out: what it printed; the test fails if it does not end with 0. */
export function cli(...args: string[]): string {
  const { status, stdout, stderr } = spawnSync(process.execPath, ['scripts/lucky-twin.mjs', ...args], {
    encoding: 'utf8',
    maxBuffer: 2 ** 28,
  })
  expect(`${status} ${stderr}`).toMatch(/^0 /)
  return stdout
}

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
export function shipped(game: string, as: 'site' | 'project' | 'kit', ...more: string[]) {
  const zip = join(mkdtempSync(join(tmpdir(), 'shipped-')), `${as}.zip`)
  cli('ship', game, '--as', as, '--to', zip, ...more)
  return { folder: unpacked(zip), zip }
}
