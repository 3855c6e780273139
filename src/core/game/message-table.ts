import type { Face } from '../deck/pair.ts'
import { LENGTHS } from '../settings/bounds.ts'
import type { Language } from '../texts/languages.ts'
import { MESSAGE_KEYS, type Message, type MessageKey, type Messages } from '../texts/messages.ts'
import type { OwnTexts } from '../texts/own.ts'
import { en } from '../texts/words/en.ts'
import type { Game } from './game.ts'
import { languagesOf } from './in-language.ts'

/** All that a game can say in each of its languages, as rows of a table: to edit, to export, to import. */

/**
 * A text of the game. `id` is its place: "title", "levels/ID/name", "pairs/ID/a/alt", "says/won", or with its plural
 * form "says/points/one". `what` tells an author which text it is.
 */
export type SaidRow = { id: string; group: 'names' | 'messages'; what: string; longest: number }

/** The messages that a game most likely wants to say its own way. */
export const MAIN_MESSAGES: Partial<Record<MessageKey, string>> = {
  opening: 'opening line',
  howTo: 'how to play',
  won: 'won',
  lost: 'lost',
  timeIsUp: 'lost, by the clock',
  noLivesLeft: 'lost, by lives',
  noTurnsLeft: 'lost, by turns',
}

const isForms = (message: Message): message is Exclude<Message, string> => typeof message !== 'string'

/** The plural forms that a language has, `other` last. */
const formsOf = (language: Language): string[] =>
  [...new Intl.PluralRules(language).resolvedOptions().pluralCategories].sort(
    (one, other) =>
      Number(one === 'other') - Number(other === 'other') || ORDER.indexOf(one) - ORDER.indexOf(other),
  )
const ORDER = ['zero', 'one', 'two', 'few', 'many', 'other']

/**
 * The rows of messages, in the order of a game; those with plural forms have a row for each form of any of these
 * languages.
 */
function messageRows(languages: readonly Language[]): SaidRow[] {
  const forms = ORDER.filter((form) => languages.some((language) => formsOf(language).includes(form)))
  const row = (id: string, what: string): SaidRow => ({ id, group: 'messages', what, longest: LENGTHS.says })
  return MESSAGE_KEYS.flatMap((key) => {
    const message: Message = en[key]
    const what = MAIN_MESSAGES[key] ?? (isForms(message) ? message.other : message)
    return isForms(message)
      ? forms.map((form) => row(`says/${key}/${form}`, `${what} (${form})`))
      : [row(`says/${key}`, what)]
  })
}

/** The rows of what a game names itself: its title, players, levels and pairs. */
function nameRows({ title, levels, deck, house }: Game): SaidRow[] {
  const row = (id: string, what: string, longest: number): SaidRow => ({ id, group: 'names', what, longest })
  const faceRows = (pair: string, side: 'a' | 'b', face: Face | undefined, name: string): SaidRow[] => [
    ...(face?.kind === 'text' ? [row(`pairs/${pair}/${side}/text`, `words on ${name}`, LENGTHS.text)] : []),
    ...(face?.alt ? [row(`pairs/${pair}/${side}/alt`, `alt text of ${name}`, LENGTHS.alt)] : []),
  ]
  return [
    row('title', `title: ${title}`, LENGTHS.title),
    ...(house.look.behind?.alt ? [row('behind', 'picture behind the cards', LENGTHS.alt)] : []),
    ...house.players.names.map((name, at) => row(`players/${at}`, `player: ${name}`, LENGTHS.player)),
    ...levels.flatMap(({ id, name, look }) => [
      row(`levels/${id}/name`, `level: ${name}`, LENGTHS.name),
      ...(look?.behind?.alt ? [row(`levels/${id}/behind`, `picture behind ${name}`, LENGTHS.alt)] : []),
    ]),
    ...deck.pairs.flatMap(({ id, name, a, b }) => [
      row(`pairs/${id}/name`, `pair: ${name}`, LENGTHS.name),
      ...faceRows(id, 'a', a, name),
      ...faceRows(id, 'b', b, name),
    ]),
  ]
}

/** Everything that a game can say in each of its languages. */
export const saidRows = (game: Game): SaidRow[] => [...nameRows(game), ...messageRows(languagesOf(game))]

/**
 * Whether a row can be filled in for a language: names of the game's own language stand in the game itself, and not
 * every language has every plural form.
 */
export function canSay(game: Game, language: Language, id: string): boolean {
  const [kind, , form] = id.split('/')
  if (kind !== 'says') return language !== languagesOf(game)[0]
  return form === undefined || formsOf(language).includes(form)
}

/** The text that is said if the game says nothing of its own. */
export function saidBefore(game: Game, id: string, messages: Messages): string {
  const [kind, key, part, detail] = id.split('/') as [string, string, string?, string?]
  if (kind === 'says') {
    const message = messages[key as MessageKey]
    return isForms(message) ? (message[part as 'other'] ?? message.other) : message
  }
  if (kind === 'title') return game.title
  if (kind === 'behind') return game.house.look.behind?.alt ?? ''
  if (kind === 'players') return game.house.players.names[Number(key)] ?? ''
  if (kind === 'levels') {
    const level = game.levels.find((one) => one.id === key)
    return (part === 'name' ? level?.name : level?.look?.behind?.alt) ?? ''
  }
  const pair = game.deck.pairs.find((one) => one.id === key)
  if (part === 'name') return pair?.name ?? ''
  const face = part === 'b' ? pair?.b : pair?.a
  return (detail === 'alt' ? face?.alt : face?.kind === 'text' ? face.text : '') ?? ''
}

/** What a game says at a row in one of its languages, its own way or not; '' where the language has no such form. */
export const saidIn = (game: Game, language: Language, id: string, messages: Messages): string =>
  id.startsWith('says/') && !canSay(game, language, id)
    ? ''
    : ownSaid(game, language, id) || saidBefore(game, id, messages)

/** A value at a path in plain data, or undefined. */
const at = (value: unknown, path: string[]): unknown =>
  path.reduce<unknown>((one, key) => (one as Record<string, unknown> | undefined)?.[key], value)

/** What a game says its own way at a row, or '' if it does not. */
export function ownSaid(game: Game, language: Language, id: string): string {
  const said = at(game.texts?.own[language], id.split('/'))
  return typeof said === 'string' ? said : ''
}

/** Plain data with another value at a path; undefined takes it out, and with it whatever is then empty. */
function put(value: unknown, [key, ...rest]: string[], text: unknown): unknown {
  if (key === undefined) return text
  const before = (value ?? {}) as Record<string, unknown>
  const inner = put(before[key], rest, text)
  const { [key]: _, ...others } = before
  if (inner === undefined) return Object.keys(others).length ? others : undefined
  // an own text keeps its place in the file
  return key in before ? { ...before, [key]: inner } : { ...others, [key]: inner }
}

/**
 * A game that says a text its own way in a language; '' gives it back. In: the row's id, the text, and the language's
 * own messages.
 */
export function saySo(game: Game, language: Language, id: string, text: string, messages: Messages): Game {
  const own: OwnTexts = game.texts?.own[language] ?? {}
  const path = id.split('/')
  const [kind, key, part] = path as [string, MessageKey, string?]
  let next: unknown
  if (kind === 'says' && part !== undefined) {
    const ready = messages[key] as Exclude<Message, string>
    const forms = { ...ready, ...(own.says?.[key] as object | undefined), [part]: text || undefined }
    const whole = { ...ready, ...withoutMissing(forms) }
    const same = Object.entries(whole).every(
      ([form, words]) => (ready as Record<string, string>)[form] === words,
    )
    next = put(own, ['says', key], same ? undefined : whole)
  } else if (kind === 'players') {
    const players = game.house.players.names.map((_, place) => own.players?.[place] ?? '')
    players[Number(key)] = text
    next = put(own, ['players'], players.some(Boolean) ? players : undefined)
  } else next = put(own, path, text || undefined)
  const texts = game.texts ?? { languages: languagesOf(game), own: {} }
  const { [language]: _, ...others } = texts.own
  return { ...game, texts: { ...texts, own: next ? { ...others, [language]: next as OwnTexts } : others } }
}

const withoutMissing = (record: object): object =>
  Object.fromEntries(Object.entries(record).filter(([, value]) => value !== undefined))

/** The names that a language still lacks: of all rows of names, those that it does not say. */
export const missingIn = (game: Game, language: Language): SaidRow[] =>
  nameRows(game).filter(({ id }) => canSay(game, language, id) && !ownSaid(game, language, id))
