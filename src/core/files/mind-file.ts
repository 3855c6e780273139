import { z } from 'zod'
import { mindSchema, mindShape } from '../game/mind-schema.ts'
import type { Result } from '../result.ts'
import type { Mind } from '../settings/mind.ts'
import { parseJson, readHead, readWith } from './read-json.ts'

const MIND_FORMAT = 'lucky-twin/mind'
const MIND_VERSION = 1

/** The schema of the whole file, for docs/schema. */
export const mindFileSchema = z.strictObject({
  format: z.literal(MIND_FORMAT),
  version: z.literal(MIND_VERSION),
  ...mindShape,
})

/** A simulated player from the text of a NAME.mind.json. */
export function readMind(text: string): Result<Mind> {
  const json = parseJson(text)
  if (!json.ok) return json
  const head = readHead(json.value, MIND_FORMAT, MIND_VERSION)
  return head.ok ? readWith(mindSchema, head.value.rest) : head
}

/** The text of a mind file. `readMind` gives back the same mind. */
export const writeMind = ({ id, name, memory, pace }: Mind): string =>
  JSON.stringify({ format: MIND_FORMAT, version: MIND_VERSION, id, name, memory, pace }, null, 2) + '\n'
