import type { MessageKey } from './messages.ts'

/** A part of the credits of a shipped game: the message it is headed by, if it has one, and its lines. */
export type CreditPart = { heading?: MessageKey; lines: string[] }
