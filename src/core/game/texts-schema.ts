import { z } from 'zod'
import { BOUNDS, LENGTHS } from '../settings/bounds.ts'
import { languageName, LANGUAGES } from '../texts/languages.ts'
import { MESSAGE_KEYS, placesIn, type Message, type MessageKey } from '../texts/messages.ts'
import type { OwnTexts, Texts } from '../texts/own.ts'
import { en } from '../texts/words/en.ts'
import { idSchema } from './schema-parts.ts'

/** How a game's texts in its languages are stored. */

/** Invisible marks that turn the text after them round, whatever it says: nobody sees why a line reads backwards. */
const TURNS_ROUND = /[\u202a-\u202e\u2066-\u2069]/
const TURNED = 'has an invisible mark that reverses the text; type it again'

/** A text that players see. */
const visibleText = (longest: number) =>
  z
    .string()
    .max(longest)
    .refine((text) => !TURNS_ROUND.test(text), TURNED)

const languageSchema = z.enum(LANGUAGES)

/**
 * What is wrong with a message that a game says its own way, or null: a place that nothing fills. In: its key, and the
 * message.
 */
function wrongPlace(key: MessageKey, message: Message): string | null {
  const places = placesIn(en[key])
  const place = placesIn(message).find((one) => !places.includes(one))
  if (place === undefined) return null
  const may = places.length ? `; what can be filled in is {${places.join('}, {')}}` : ''
  return `{${place}} stands for nothing here${may}`
}

/** What is wrong with a text as somebody types it, or null. In: the key of the message, null for a name; the text. */
export const wrongText = (key: MessageKey | null, text: string): string | null =>
  TURNS_ROUND.test(text) ? `This ${TURNED}` : key && wrongPlace(key, text)

const messageSchema = z.union([
  visibleText(LENGTHS.says),
  z.strictObject({
    zero: visibleText(LENGTHS.says).optional(),
    one: visibleText(LENGTHS.says).optional(),
    two: visibleText(LENGTHS.says).optional(),
    few: visibleText(LENGTHS.says).optional(),
    many: visibleText(LENGTHS.says).optional(),
    other: visibleText(LENGTHS.says),
  }),
])
const saysSchema = z
  .partialRecord(z.enum(MESSAGE_KEYS as [MessageKey]), messageSchema)
  .superRefine((says, context) => {
    for (const [key, said] of Object.entries(says) as [MessageKey, Message][]) {
      const message = wrongPlace(key, said)
      if (message) context.addIssue({ code: 'custom', path: [key], message })
    }
  })

const faceSchema = z.strictObject({
  text: visibleText(LENGTHS.text).min(1).optional(),
  alt: visibleText(LENGTHS.alt).optional(),
})
const name = visibleText(LENGTHS.name).min(1).optional()
const atMost = (most: number) => (record: object) => Object.keys(record).length <= most

const ownTextsSchema: z.ZodType<OwnTexts> = z.strictObject({
  title: visibleText(LENGTHS.title).min(1).optional(),
  says: saysSchema.optional(),
  levels: z
    .record(idSchema, z.strictObject({ name, behind: visibleText(LENGTHS.alt).optional() }))
    .refine(atMost(BOUNDS.levels[1]), `at most ${BOUNDS.levels[1]} levels`)
    .optional(),
  pairs: z
    .record(idSchema, z.strictObject({ name, a: faceSchema.optional(), b: faceSchema.optional() }))
    .refine(atMost(BOUNDS.pairs[1]), `at most ${BOUNDS.pairs[1]} pairs`)
    .optional(),
  behind: visibleText(LENGTHS.alt).optional(),
  players: z.array(visibleText(LENGTHS.player)).max(BOUNDS.players[1]).optional(),
})

export const textsSchema: z.ZodType<Texts> = z.strictObject({
  languages: z
    .array(languageSchema)
    .min(1)
    .max(LANGUAGES.length)
    .superRefine((all, context) =>
      all.forEach((language, at) => {
        if (all.indexOf(language) < at)
          context.addIssue({
            code: 'custom',
            path: [at],
            message: `${languageName(language)} is there twice`,
          })
      }),
    ),
  own: z.partialRecord(languageSchema, ownTextsSchema),
})

/** Lines that an author adds to the credits. */
export const creditsSchema = z.array(visibleText(LENGTHS.credit).min(1)).max(BOUNDS.credits[1])
