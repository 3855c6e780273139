import type { Language } from './languages.ts'
import type { Messages } from './messages.ts'

/** Each is loaded on its own, so that nobody has to load all languages. */
const READY: Record<Language, () => Promise<Messages>> = {
  en: () => import('./words/en.ts').then(({ en }) => en),
  de: () => import('./words/de.ts').then(({ de }) => de),
  fr: () => import('./words/fr.ts').then(({ fr }) => fr),
  es: () => import('./words/es.ts').then(({ es }) => es),
  pt: () => import('./words/pt.ts').then(({ pt }) => pt),
  it: () => import('./words/it.ts').then(({ it }) => it),
  nl: () => import('./words/nl.ts').then(({ nl }) => nl),
  pl: () => import('./words/pl.ts').then(({ pl }) => pl),
  tr: () => import('./words/tr.ts').then(({ tr }) => tr),
  uk: () => import('./words/uk.ts').then(({ uk }) => uk),
  ar: () => import('./words/ar.ts').then(({ ar }) => ar),
  he: () => import('./words/he.ts').then(({ he }) => he),
  ja: () => import('./words/ja.ts').then(({ ja }) => ja),
  'zh-Hans': () => import('./words/zh-hans.ts').then(({ zhHans }) => zhHans),
}

/** All messages of a language. */
export const readyMessages = (language: Language): Promise<Messages> => READY[language]()

/** The messages of several languages, by their tags. */
export async function messagesIn(
  languages: readonly Language[],
): Promise<Partial<Record<Language, Messages>>> {
  const all = await Promise.all(languages.map(readyMessages))
  return Object.fromEntries(languages.map((language, i) => [language, all[i]!]))
}
