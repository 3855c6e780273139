import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js'
import { zipSync, type Zippable } from 'fflate'

/** What tells files from others: a hash of their names, lengths and contents, in hex. */
export function hashOf(files: Record<string, Uint8Array>): string {
  const hash = sha256.create()
  for (const [name, content] of Object.entries(files))
    hash.update(utf8ToBytes(`${name} ${content.length} `)).update(content)
  return bytesToHex(hash.digest())
}

/** The days, hours, minutes and pairs of seconds from which a zip's date is taken; no clock is put forward at that time. */
const DATES = {
  from: Date.UTC(1990, 0, 1),
  days: 12_000,
  hour: 4,
  hours: 18,
  minutes: 60,
  seconds: 30,
} as const

/**
 * The date of the files in a zip, local time without a zone. The same files have the same date, and others another:
 * many servers tell a newer file from an older one by nothing else.
 */
function dateOf(files: Record<string, Uint8Array>): string {
  let rest = parseInt(hashOf(files).slice(0, 12), 16)
  const take = (count: number): number => {
    const taken = rest % count
    rest = Math.floor(rest / count)
    return taken
  }
  const day = new Date(DATES.from + take(DATES.days) * 86_400_000).toISOString().slice(0, 10)
  const two = (number: number): string => String(number).padStart(2, '0')
  const hour = two(DATES.hour + take(DATES.hours))
  return `${day}T${hour}:${two(take(DATES.minutes))}:${two(2 * take(DATES.seconds))}`
}

/** Files as a zip. Images are packed already. */
export function zipOf(files: Record<string, Uint8Array>): Uint8Array<ArrayBuffer> {
  const mtime = dateOf(files)
  const entries = Object.entries(files).map(([name, content]) => [
    name,
    [content, { level: name.endsWith('.png') ? 0 : 6, mtime }],
  ])
  return zipSync(Object.fromEntries(entries) as Zippable) as Uint8Array<ArrayBuffer>
}
