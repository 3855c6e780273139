import { z } from 'zod'
import { idSchema, seedSchema } from '../game/schema.ts'
import { BOUNDS } from '../game/settings.ts'
import { REASONS, type Input } from '../play/events.ts'
import type { RoundResult } from '../play/result.ts'
import { NEVER } from '../play/round.ts'
import { bad, good, type Result } from '../result.ts'
import { parseJson, readHead, readWith } from './read-json.ts'

export const RECORD_FORMAT = 'lucky-twin/play'
export const RECORD_VERSION = 1

const time = z
  .int()
  .min(0)
  .max(NEVER - 1)
const count = z.int().min(0)
const inputSchema = z.discriminatedUnion('do', [
  z.strictObject({ at: time, do: z.literal('press'), cell: z.int() }),
  z.strictObject({ at: time, do: z.enum(['turn-back', 'pause', 'resume']) }),
])

const expectSchema = z.strictObject({
  outcome: z.enum(['won', 'lost', 'open']).optional(),
  lostBy: z.enum(['lives', 'turns', 'clock']).nullable().optional(),
  turns: count.optional(),
  flips: count.optional(),
  matches: count.optional(),
  misses: count.optional(),
  found: count.optional(),
  lucky: count.optional(),
  slips: count.optional(),
  fresh: count.optional(),
  longestStreak: count.optional(),
  score: z.int().optional(),
  stars: z.int().min(0).max(3).nullable().optional(),
  lives: z.int().min(0).max(BOUNDS.lives[1]).nullable().optional(),
  timeUsed: count.optional(),
  refused: z.partialRecord(z.enum(REASONS), count).optional(),
})

const recordShape = {
  game: idSchema,
  level: idSchema,
  seed: seedSchema,
  inputs: z.array(inputSchema).max(100_000),
  until: time.optional(),
  expect: expectSchema.optional(),
}
const recordSchema = z.strictObject(recordShape)

/** The whole file, for docs/schema. */
export const recordFileSchema = z.strictObject({
  format: z.literal(RECORD_FORMAT),
  version: z.literal(RECORD_VERSION),
  ...recordShape,
})

/** A played game: seed and inputs with their times. With `expect` it is a kept check. */
export type PlayRecord = {
  game: string
  level: string
  seed: string
  inputs: Input[]
  until?: number
  expect?: Partial<RoundResult>
}

/** A record from the text of a NAME.play.json. Its times may not run backwards. */
export function readRecord(text: string): Result<PlayRecord> {
  const json = parseJson(text)
  if (!json.ok) return json
  const head = readHead(json.value, RECORD_FORMAT, RECORD_VERSION)
  if (!head.ok) return head
  const read = readWith(recordSchema, head.value)
  if (!read.ok) return read
  const { inputs, until } = read.value
  let before = 0
  for (const [i, { at }] of inputs.entries()) {
    if (at < before) return bad(`inputs[${i}].at`, `${at} is before the input in front of it (${before})`)
    before = at
  }
  if (until !== undefined && until < before)
    return bad('until', `${until} is before the last input (${before})`)
  return good(read.value as PlayRecord)
}

/** The text of a record file. `readRecord` gives back the same record. */
export function writeRecord(record: PlayRecord): string {
  const { game, level, seed, inputs, until, expect } = record
  const file = { format: RECORD_FORMAT, version: RECORD_VERSION, game, level, seed, inputs, until, expect }
  return JSON.stringify(file, null, 2) + '\n'
}
