import { en } from './words/en.ts'

export type MessageKey = keyof typeof en
/** A text, or one for each plural form that its language has; `other` is always there. */
export type Message = string | (Partial<Record<Intl.LDMLPluralRule, string>> & { other: string })
/** Everything that a player reads or hears, in one language. */
export type Messages = Record<MessageKey, Message>

/** All messages, in the order of a game. */
export const MESSAGE_KEYS = Object.keys(en) as MessageKey[]

/** Those that are said only where minds may play. */
export const MIND_MESSAGES: ReadonlySet<MessageKey> = new Set([
  'playsNow',
  'playAlone',
  'against',
  'mindPerfect',
  'mindKeen',
  'mindEveryday',
  'mindFleeting',
  'mindNone',
])

/** The messages of a language, with those that a game says its own way. */
export const withOwn = (messages: Messages, own: Partial<Messages> = {}): Messages => ({
  ...messages,
  ...own,
})

/** What each message may have filled in: "n", "name". */
export const placesIn = (message: Message): string[] => [
  ...new Set(
    (typeof message === 'string' ? [message] : Object.values(message)).flatMap((text) =>
      [...text.matchAll(/\{(\w+)\}/g)].map(([, place]) => place!),
    ),
  ),
]
