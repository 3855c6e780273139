import { foreignWords } from './foreign-words.ts'
import { beforeAll, describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { bestLanguage, languageName, LANGUAGES, type Language } from './languages.ts'
import { MESSAGE_KEYS, placesIn, withOwn, type Message, type Messages } from './messages.ts'
import { messagesIn } from './ready.ts'
import { newSpeech } from './speech.ts'
import { en } from './words/en.ts'

let all: Record<Language, Messages>
beforeAll(async () => {
  all = (await messagesIn(LANGUAGES)) as typeof all
})
const formsOf = (message: Message): Record<string, string> =>
  typeof message === 'string' ? { other: message } : (message as Record<string, string>)

describe.each(LANGUAGES)('the messages in %s', (language) => {
  test('are all there, in the order of English', () =>
    expect(Object.keys(all[language])).toEqual(MESSAGE_KEYS))

  test('fill in what the English ones fill in', () => {
    for (const key of MESSAGE_KEYS) {
      const message = all[language][key]
      expect([key, placesIn(formsOf(message).other!).sort()]).toEqual([key, placesIn(en[key]).sort()])
      for (const form of Object.values(formsOf(message)))
        for (const place of placesIn(form)) expect(placesIn(en[key])).toContain(place)
    }
  })

  test('have the plural forms that the language has for whole numbers', () => {
    const plural = new Intl.PluralRules(language)
    const known = plural.resolvedOptions().pluralCategories as string[]
    // of small numbers: some languages have a form for millions alone; nothing at all may be said like many
    const needed = new Set(Array.from({ length: 120 }, (_, n) => plural.select(n + 1) as string))
    if (language === 'ar') needed.delete('many')
    if (language === 'tr') needed.delete('one')
    for (const key of MESSAGE_KEYS.filter((one) => typeof en[one] !== 'string')) {
      const forms = Object.keys(formsOf(all[language][key]))
      for (const form of forms) expect(known).toContain(form)
      if (typeof all[language][key] !== 'string')
        expect([key, [...needed].filter((form) => !forms.includes(form) && form !== 'other')]).toEqual([
          key,
          LIKE_OTHERS[`${language} ${key}`] ?? [],
        ])
    }
  })
})

/** Messages in which a form of few or many sounds like the others. */
const LIKE_OTHERS: Record<string, string[]> = {
  'pl playLives': ['few', 'many'],
  'pl playSlips': ['few', 'many'],
  'uk playLives': ['few', 'many'],
  'uk playSlips': ['few', 'many'],
}

test('no language but English has a whole English sentence', () => {
  for (const language of LANGUAGES.filter((one) => one !== 'en'))
    for (const key of MESSAGE_KEYS) {
      const text = formsOf(en[key]).other!
      const isSentence =
        text
          .replace(/\{\w+\}/g, '')
          .trim()
          .split(' ').length > 2
      if (isSentence)
        expect([language, key, formsOf(all[language][key]).other]).not.toEqual([language, key, text])
    }
})

describe('speech', () => {
  test.each<[Language, number, string]>([
    ['en', 1, '1 pair'],
    ['en', 1250, '1,250 pairs'],
    ['de', 1250, '1.250 Paare'],
    ['pl', 2, '2 pary'],
    ['pl', 5, '5 par'],
    ['uk', 21, '21 пара'],
    ['ja', 3, '3ペア'],
    ['he', 2, 'שני זוגות'],
  ])('in %s counts %i as %s', (language, n, text) =>
    expect(newSpeech(language, all[language]).say('pairs', { n })).toBe(text),
  )
  test('keeps names apart from text that is written the other way round', () => {
    expect(newSpeech('ar', all.ar).say('next', { level: 'Warm-up' })).toBe('التالي: \u2068Warm-up\u2069')
    expect(newSpeech('en', en).say('next', { level: 'Warm-up' })).toBe('Next: Warm-up')
  })
  test('leaves a place that nothing fills, and never fills in what was filled in', () => {
    expect(newSpeech('en', en).say('next')).toBe('Next: {level}')
    expect(newSpeech('en', en).say('faceUp', { cell: '{face}', face: 'Cog' })).toBe('{face}, Cog')
  })
  test('lists names', () => expect(newSpeech('de', all.de).list(['Ada', 'Ben'])).toBe('Ada und Ben'))
  test('a game says its own where it has own words, with their plural forms', () => {
    const own = { pairs: { one: '{n} twin', other: '{n} twins' } }
    const { say } = newSpeech('en', withOwn(en, own))
    expect([say('pairs', { n: 1 }), say('pairs', { n: 2 }), say('begin')]).toEqual([
      '1 twin',
      '2 twins',
      'Begin',
    ])
  })
})

test('each language is offered under the name that it gives itself', () =>
  expect(LANGUAGES.map(languageName).join(' ')).toBe(
    'English Deutsch Français Español Português (Brasil) Italiano Nederlands Polski Türkçe Українська العربية עברית 日本語 简体中文',
  ))

describe('which language is shown', () => {
  test.each<[Language[], string[], Language]>([
    [['en', 'de'], ['de-AT'], 'de'],
    [['en', 'de'], ['fr', 'DE', 'en'], 'de'],
    [['de', 'en'], ['ko', 'xx-not-a-tag'], 'de'],
    [['en', 'zh-Hans'], ['zh-CN'], 'zh-Hans'],
    [['fr', 'he'], ['', 'he'], 'he'],
  ])('of %j, for somebody who reads %j: %s', (shipped, wanted, language) =>
    expect(bestLanguage(shipped, wanted)).toBe(language),
  )
  test('is always one of those that are there', () =>
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.constantFrom(...LANGUAGES), { minLength: 1 }),
        fc.array(fc.string()),
        (shipped, wanted) => expect(shipped).toContain(bestLanguage(shipped, wanted)),
      ),
    ))
})

test.each([
  [['Werkzeug', 'Säge', 'Zählwerk', 'Schlüssel', 'Schloss'], 'de'],
  [['Outils', 'La scie à métaux', 'Le marteau', 'Clé forgée', 'Règle'], 'fr'],
  [['ひきだし', '歯車', 'ねじ', 'バネ'], 'ja'],
  [['齿轮', '螺丝', '弹簧'], 'zh-Hans'],
  [['Шухляда', 'пружина', 'гвинт'], 'uk'],
  [['Szuflada', 'sprężyna', 'śruba', 'koło zębate'], 'pl'],
])('%j do not look English, but like %s', (texts, language) =>
  expect(foreignWords(texts)?.likely).toBe(language),
)
test('a loan word or two are English still', () => {
  expect(foreignWords(['Top drawer', 'Café', 'A façade', 'Gear', 'Escapement'])).toBeNull()
  expect(
    foreignWords([
      'Ångström',
      'Übung',
      'naïve',
      ...Array.from({ length: 40 }, (_, i) => `Pair ${'abcdefghij'[i % 10]!}${'klmn'[Math.floor(i / 10)]!}`),
    ]),
  ).toBeNull()
})
