import { z } from 'zod'

/** The least and the greatest value, both allowed. */
export type Bound = readonly [number, number]

export const boundedNumber = ([low, high]: Bound) => z.number().min(low).max(high)
export const boundedInt = ([low, high]: Bound) => z.int().min(low).max(high)
