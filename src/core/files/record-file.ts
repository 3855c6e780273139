import { z } from 'zod'
import { idSchema } from '../game/schema-parts.ts'
import { expectSchema, playedShape } from '../game/check-schema.ts'
import { inOrder, recordHead, type PlayRecord } from '../play/record.ts'
import { good, type Result } from '../result.ts'
import { parseJson, readHead, readWith } from './read-json.ts'

const recordShape = { game: idSchema, ...playedShape, expect: expectSchema.optional() }
const recordSchema = z.strictObject(recordShape)

/** The schema of the whole file, for docs/schema. */
export const recordFileSchema = z.strictObject({
  format: z.literal(recordHead.format),
  version: z.literal(recordHead.version),
  ...recordShape,
})

/** A record from the text of a NAME.play.json. Its times may not run backwards. */
export function readRecord(text: string): Result<PlayRecord> {
  const json = parseJson(text)
  if (!json.ok) return json
  const head = readHead(json.value, recordHead.format, recordHead.version)
  if (!head.ok) return head
  const result = readWith(recordSchema, head.value.rest)
  if (!result.ok) return result
  const record = result.value as PlayRecord
  const problem = inOrder(record)
  return problem ? { ok: false, problem } : good(record)
}

/** The text of a record file. `readRecord` gives back the same record. */
export function writeRecord(record: PlayRecord): string {
  const { game, level, seed, deal, inputs, until, story, expect } = record
  return (
    JSON.stringify({ ...recordHead, game, level, seed, deal, inputs, until, story, expect }, null, 2) + '\n'
  )
}
