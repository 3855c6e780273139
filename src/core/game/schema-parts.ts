import { z } from 'zod'
import { isSeed } from '../deal/seed.ts'
import { ID } from '../settings/new-id.ts'
import { LENGTHS } from '../settings/bounds.ts'

/** Ids and seeds as every file stores them. */
export const idSchema = z
  .string()
  .min(1)
  .max(LENGTHS.id)
  .regex(ID, 'letters, digits, dot, dash and underscore only')
export const seedSchema = z.string().refine(isSeed, `1 to ${LENGTHS.seed} characters`)
/** A card as files name it: its pair's id and its side. */
export const cardNameSchema = z.string().max(LENGTHS.id + 2)

/** The least and the greatest value, both allowed. */
export type Bound = readonly [number, number]

export const boundedNumber = ([low, high]: Bound) => z.number().min(low).max(high)
export const boundedInt = ([low, high]: Bound) => z.int().min(low).max(high)
