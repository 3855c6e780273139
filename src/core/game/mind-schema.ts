import { z } from 'zod'
import type { Mind } from '../settings/mind.ts'
import { BOUNDS, LENGTHS } from '../settings/settings.ts'
import { idSchema } from './id-schema.ts'

const number = ([low, high]: readonly [number, number]) => z.number().min(low).max(high)
const whole = ([low, high]: readonly [number, number]) => z.int().min(low).max(high)

/** The schema of a simulated player. */
export const mindShape = {
  id: idSchema,
  name: z.string().min(1).max(LENGTHS.name),
  memory: z.strictObject({
    notice: number(BOUNDS.chance),
    hold: whole(BOUNDS.hold).nullable(),
    fade: number(BOUNDS.chance),
    blur: number(BOUNDS.chance),
    glance: whole(BOUNDS.glance),
  }),
  pace: z.strictObject({
    first: whole(BOUNDS.thought),
    second: whole(BOUNDS.thought),
    spread: number(BOUNDS.spread),
  }),
}
export const mindSchema: z.ZodType<Mind> = z.strictObject(mindShape)
