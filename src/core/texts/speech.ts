import { directionOf, type Language } from './languages.ts'
import type { MessageKey, Messages } from './messages.ts'

type SpeechValues = Record<string, string | number>

/** One language, with its messages, plural forms and numbers. */
export type Speech = {
  readonly language: Language
  readonly direction: 'ltr' | 'rtl'
  /** The text of a message; what stands in braces is filled in. A message with several forms chooses by `n`. */
  say(key: MessageKey, values?: SpeechValues): string
  /** A whole number, with separators: "1,250". */
  number(n: number): string
  /** Minutes and seconds: "1:04". In: a time in ms. Time left is rounded up, time used down. */
  clock(ms: number, left: boolean): string
  /** Names as a list: "Ada, Ben and Cleo". */
  list(names: readonly string[]): string
}

/** Keeps a name that is written the other way round from mixing with the text around it. */
const isolated = (text: string): string => `\u2068${text}\u2069`

/** Makes something when it is first asked for: on a slow phone each formatter takes a tenth of a second. */
function later<T>(make: () => T): () => T {
  let cached: T | undefined
  return () => (cached ??= make())
}

/** In: a language, and its messages. */
export function newSpeech(language: Language, messages: Messages): Speech {
  const direction = directionOf(language)
  const plural = later(() => new Intl.PluralRules(language))
  const numbers = later(() => new Intl.NumberFormat(language))
  const lists = later(() => new Intl.ListFormat(language))
  // all but Arabic write small numbers with the same digits, and without separators
  const number = (n: number): string =>
    language !== 'ar' && n >= 0 && n < 1000 && Number.isInteger(n) ? `${n}` : numbers().format(n)
  const twoDigits = (n: number): string => (n < 10 ? number(0) : '') + number(n)

  function say(key: MessageKey, values: SpeechValues = {}): string {
    const message = messages[key]
    const text =
      typeof message === 'string' ? message : (message[plural().select(Number(values.n))] ?? message.other)
    return text.replace(/\{(\w+)\}/g, (whole, place: string) => {
      const value = values[place]
      if (typeof value === 'number') return number(value)
      if (value === undefined) return whole
      return direction === 'rtl' ? isolated(value) : value
    })
  }
  return {
    language,
    direction,
    say,
    number,
    clock(ms, left) {
      const seconds = left ? Math.ceil(ms / 1000) : Math.floor(ms / 1000)
      return `${number(Math.floor(seconds / 60))}:${twoDigits(seconds % 60)}`
    },
    list: (names) => lists().format(names),
  }
}
