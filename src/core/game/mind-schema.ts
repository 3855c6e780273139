import { z } from 'zod'
import type { Mind } from '../settings/mind.ts'
import { BOUNDS, LENGTHS } from '../settings/bounds.ts'
import { boundedInt, boundedNumber, idSchema } from './schema-parts.ts'

/** The schema of a simulated player. */
export const mindShape = {
  id: idSchema,
  name: z.string().min(1).max(LENGTHS.name),
  memory: z.strictObject({
    notice: boundedNumber(BOUNDS.chance),
    hold: boundedInt(BOUNDS.hold).nullable(),
    fade: boundedNumber(BOUNDS.chance),
    blur: boundedNumber(BOUNDS.chance),
    glance: boundedInt(BOUNDS.glance),
  }),
  pace: z.strictObject({
    first: boundedInt(BOUNDS.thought),
    second: boundedInt(BOUNDS.thought),
    spread: boundedNumber(BOUNDS.spread),
  }),
}
export const mindSchema: z.ZodType<Mind> = z.strictObject(mindShape)
