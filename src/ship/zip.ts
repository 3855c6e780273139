import { zipSync, type Zippable } from 'fflate'

/** When every file in a zip was made: the same files give the same zip. */
const MADE = '2026-01-01T00:00:00'

/** Files as a zip. Images are packed already. */
export function zipOf(files: Record<string, Uint8Array>): Uint8Array {
  const entries = Object.entries(files).map(([name, content]) => [
    name,
    [content, { level: name.endsWith('.png') ? 0 : 6, mtime: MADE }],
  ])
  return zipSync(Object.fromEntries(entries) as Zippable)
}
