import { english } from '../../core/texts/english.ts'
import type { Language } from '../../core/texts/languages.ts'
import { withOwn, type Messages } from '../../core/texts/messages.ts'
import { readyMessages } from '../../core/texts/ready.ts'
import { newSpeech, type Speech } from '../../core/texts/speech.ts'
import { en } from '../../core/texts/words/en.ts'
import type { Game } from '../../core/game/game.ts'

/** the messages of the languages that were asked for */
const loaded = new Map<Language, Messages>([['en', en]])

/** The messages of a language, loaded once. */
export async function loadLanguage(language: Language): Promise<Messages> {
  const messages = loaded.get(language) ?? (await readyMessages(language))
  loaded.set(language, messages)
  return messages
}

/**
 * What a game is said in on a table of the studio: in one of its languages, its own if none is given. Until that is
 * loaded it is said in English; `then` is called when it is there.
 */
export function speechOf(game: Game, then: () => void, language?: Language): Speech {
  const { languages = ['en'] as Language[], own = {} } = game.texts ?? {}
  const tag = language ?? languages[0]!
  const messages = loaded.get(tag)
  if (messages) return newSpeech(tag, withOwn(messages, own[tag]?.says))
  void loadLanguage(tag).then(then)
  return english
}
