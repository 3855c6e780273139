import { z } from 'zod'
import type { Pair } from '../deck/pair.ts'
import { pairSchema } from '../game/schema.ts'
import { imagesOf } from '../game/own-files.ts'
import { BOUNDS } from '../settings/bounds.ts'
import { bad, good, type Result } from '../result.ts'
import { checkImageUrl } from './image.ts'
import { parseJson, readHead, readWith } from './read-json.ts'

const PAIRS_FORMAT = 'lucky-twin/pairs'
const PAIRS_VERSION = 1

/** Pairs copied from deck to deck, as text on the clipboard. */
export const pairsFileSchema = z.strictObject({
  format: z.literal(PAIRS_FORMAT),
  version: z.literal(PAIRS_VERSION),
  pairs: z.array(pairSchema).min(1).max(BOUNDS.pairs[1]),
})

export const writePairs = (pairs: readonly Pair[]): string =>
  JSON.stringify({ format: PAIRS_FORMAT, version: PAIRS_VERSION, pairs })

/** Whether a text claims to hold pairs, so that it is read as such and not as words. */
export const holdsPairs = (text: string): boolean =>
  text.length < 1e8 && text.trimStart().startsWith('{') && text.includes(`"${PAIRS_FORMAT}"`)

/** Pairs from text; a problem names the place, as in a game file. */
export function readPairs(text: string): Result<Pair[]> {
  const json = parseJson(text)
  if (!json.ok) return json
  const head = readHead(json.value, PAIRS_FORMAT, PAIRS_VERSION)
  if (!head.ok) return head
  const result = readWith(z.strictObject({ pairs: pairsFileSchema.shape.pairs }), head.value.rest)
  if (!result.ok) return result
  for (const { src, at } of imagesOf({ deck: { pairs: result.value.pairs } })) {
    const checked = checkImageUrl(src)
    if (!checked.ok) return bad(at, checked.problem.message)
  }
  return good(result.value.pairs as Pair[])
}
