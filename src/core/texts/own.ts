import type { Language } from './languages.ts'
import type { Message, MessageKey } from './messages.ts'

/** What a face shows or says in another language: the text on it, and what a screen reader reads. */
type OwnFace = { text?: string; alt?: string }

/**
 * What a game says its own way in one language: messages by key, and its names; levels and pairs by id. What is left
 * out is as in the game itself.
 */
export type OwnTexts = {
  title?: string
  says?: Partial<Record<MessageKey, Message>>
  /** names of levels, and what the picture behind their cards shows */
  levels?: Record<string, { name?: string; behind?: string }>
  pairs?: Record<string, { name?: string; a?: OwnFace; b?: OwnFace }>
  /** what the picture behind the cards of the house rules shows */
  behind?: string
  /** the players at the table, by place; an empty name is as in the game itself */
  players?: string[]
}

/** The languages that a game is shipped in, its own first, and what it says its own way in each. */
export type Texts = { languages: Language[]; own: Partial<Record<Language, OwnTexts>> }

/** What a game is shipped in if it does not say. */
export const DEFAULT_TEXTS: Texts = { languages: ['en'], own: {} }
