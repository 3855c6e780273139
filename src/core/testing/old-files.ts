import { readdirSync, readFileSync } from 'node:fs'
import type { Event } from '../play/events.ts'
import type { RoundResult } from '../play/result.ts'

/** Games and records written in each earlier version of their formats, with their outcome then: tests/old-files. Those of version 3 knew sounds only as on and off. */

const FOLDER = new URL('../../../tests/old-files/', import.meta.url)
type Then = {
  record: { level: string; expect: Omit<RoundResult, 'glimpsed'> & { glimpsed?: number } }
  events: Event[]
}

export const OLD_GAMES = readdirSync(FOLDER)
  .filter((name) => name.endsWith('.game.json'))
  .map((name) => ({
    name: name.replace('.game.json', ''),
    version: Number(name.match(/\.v(\d)\./)![1]),
    text: readFileSync(new URL(name, FOLDER), 'utf8'),
    played: JSON.parse(readFileSync(new URL(name.replace('.game.', '.played.'), FOLDER), 'utf8')) as Then[],
  }))
