/** The languages that a player can be shown in, by BCP 47 tag, in the order in which they are offered. */
export const LANGUAGES = [
  'en',
  'de',
  'fr',
  'es',
  'pt',
  'it',
  'nl',
  'pl',
  'tr',
  'uk',
  'ar',
  'he',
  'ja',
  'zh-Hans',
] as const
export type Language = (typeof LANGUAGES)[number]

/**
 * What a language calls itself, with a capital letter, as lists of languages have it; from the runtime's own data
 * (Unicode CLDR).
 */
export function languageName(language: Language): string {
  // our Portuguese is that of Brazil
  const tag = language === 'pt' ? 'pt-BR' : language
  const name = new Intl.DisplayNames(language, { type: 'language' }).of(tag)!
  return name[0]!.toLocaleUpperCase(language) + name.slice(1)
}

export const isLanguage = (tag: string): tag is Language => (LANGUAGES as readonly string[]).includes(tag)

/** In which direction a language is written. */
export const directionOf = (language: Language): 'ltr' | 'rtl' =>
  language === 'ar' || language === 'he' ? 'rtl' : 'ltr'

/**
 * The language to show of those that are there. In: their tags; the tags that somebody reads (BCP 47), the best one
 * first. Of a tag with a region or script, its language alone decides ("de-AT" reads "de"). Out: the first that fits,
 * or else the first of those that are there.
 */
export function bestLanguage(shipped: readonly Language[], preferred: readonly string[]): Language {
  for (const tag of preferred) {
    const [language] = tag.toLowerCase().split('-')
    const match =
      shipped.find((one) => one.toLowerCase() === tag.toLowerCase()) ??
      shipped.find((one) => one.split('-')[0] === language)
    if (match) return match
  }
  return shipped[0]!
}
