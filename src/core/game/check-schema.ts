import { z } from 'zod'
import { REFUSALS } from '../play/events.ts'
import { inOrder, type Check } from '../play/record.ts'
import { LAST_TIME } from '../play/round.ts'
import { BOUNDS, LENGTHS } from '../settings/bounds.ts'
import { cardNameSchema, idSchema, seedSchema } from './schema-parts.ts'

/** The schemas of played games and kept checks. */

const time = z.int().min(0).max(LAST_TIME)
const count = z.int().min(0)
const inputSchema = z.discriminatedUnion('do', [
  z.strictObject({ at: time, do: z.literal('press'), cell: z.int() }),
  z.strictObject({ at: time, do: z.enum(['turn-back', 'pause', 'resume']) }),
])

export const expectSchema = z.strictObject({
  outcome: z.enum(['won', 'lost', 'open']).optional(),
  lostBy: z.enum(['lives', 'turns', 'clock']).nullable().optional(),
  turns: count.optional(),
  flips: count.optional(),
  matches: count.optional(),
  misses: count.optional(),
  found: count.optional(),
  lucky: count.optional(),
  glimpsed: count.optional(),
  slips: count.optional(),
  fresh: count.optional(),
  longestStreak: count.optional(),
  score: z.int().optional(),
  stars: z.int().min(0).max(3).nullable().optional(),
  lives: z.int().min(0).max(BOUNDS.lives[1]).nullable().optional(),
  timeUsed: count.optional(),
  refused: z.partialRecord(z.enum(REFUSALS), count).optional(),
  players: z
    .array(z.strictObject({ matches: count, misses: count, score: z.int() }))
    .max(BOUNDS.players[1])
    .optional(),
})

export const playedShape = {
  level: idSchema,
  seed: seedSchema,
  deal: z.array(cardNameSchema.nullable()).max(BOUNDS.cards[1]).optional(),
  inputs: z.array(z.unknown()).max(BOUNDS.inputs[1]).pipe(z.array(inputSchema).max(BOUNDS.inputs[1])),
  until: time.optional(),
  story: z.array(z.string().max(LENGTHS.text)).max(BOUNDS.inputs[1]).optional(),
}

export const checkSchema = z
  .strictObject({
    id: idSchema,
    name: z.string().min(1).max(LENGTHS.name),
    ...playedShape,
    expect: expectSchema,
  })
  // Zod has optional keys as possibly undefined; a check has them or not
  .superRefine((check, context) => {
    const wrong = inOrder(check as Check)
    if (wrong) context.addIssue({ code: 'custom', path: wrong.at.split(/[.[\]]+/), message: wrong.message })
  }) as unknown as z.ZodType<Check>
