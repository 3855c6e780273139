import type { Language } from './languages.ts'

/** Letters that are used by one of the languages alone, and the order in which they are looked for. */
const LETTERS: readonly (readonly [Language, RegExp])[] = [
  ['ja', /[\p{Script=Hiragana}\p{Script=Katakana}]/u],
  ['zh-Hans', /\p{Script=Han}/u],
  ['ar', /\p{Script=Arabic}/u],
  ['he', /\p{Script=Hebrew}/u],
  ['uk', /\p{Script=Cyrillic}/u],
  ['tr', /[ğışİ]/u],
  ['pl', /[ąćęłńśźż]/iu],
  ['es', /[ñ¿¡]/iu],
  ['pt', /[ãõ]/iu],
  ['de', /[äöüß]/iu],
  ['it', /[ìò]/iu],
  ['fr', /[çèêëîïœùû]/iu],
]
/** A loan word or two are English still. */
const FEWEST = 3
/** This share of all words. */
const SHARE = 0.1

/**
 * Words with letters that English has not, if there are enough of them to doubt that these texts are English, and the
 * language that most of them point to; else null. In: titles and names.
 */
export function foreignWords(texts: readonly string[]): { words: string[]; likely: Language | null } | null {
  const all = new Set(texts.flatMap((text) => text.normalize('NFC').match(/\p{L}+/gu) ?? []))
  const words = [...all].filter((word) => /[^a-z]/i.test(word))
  if (words.length < FEWEST || words.length < all.size * SHARE) return null
  const votes = LETTERS.map(
    ([language, letters]) => [language, words.filter((word) => letters.test(word)).length] as const,
  )
  const [likely, most] = votes.reduce((best, one) => (one[1] > best[1] ? one : best))
  return { words, likely: most > 0 ? likely : null }
}
