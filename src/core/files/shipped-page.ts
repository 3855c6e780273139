import { bad, type Result } from '../result.ts'
import type { Game } from '../game/game.ts'
import { GAME_FORMAT, GAME_VERSION } from '../game/migrations.ts'
import type { Language } from '../texts/languages.ts'
import {
  MESSAGE_KEYS,
  MIND_MESSAGES,
  withOwn,
  type Message,
  type MessageKey,
  type Messages,
} from '../texts/messages.ts'
import type { Settings } from '../settings/settings.ts'
import { withoutLaterDefaults } from '../settings/later-keys.ts'
import { resolveLevel } from '../settings/levels.ts'
import { hasRivals, mindsOf, seatedMinds } from '../settings/seats.ts'
import { notAGame } from './file-kind.ts'
import { gameFrom } from './game-file.ts'
import { parseJson } from './read-json.ts'

/** The game inside a shipped page: how it is written there, and how it is found again. */

const BEGIN = '<script type="application/json" id="lucky-twin-game">'
const END = '</script>'

/** JSON that can stand inside a script element, whatever texts it holds. */
const safeJson = (value: unknown): string =>
  JSON.stringify(value).replace(
    /[<\u2028\u2029]/g,
    (c) => `\\u${c.charCodeAt(0).toString(16).padStart(4, '0')}`,
  )

/** What lies in a page beside its game. */
export type BesideGame = {
  /** library pictures as data URLs by name */
  art: Record<string, string>
  /** the messages of each language that is shipped */
  words: Partial<Record<Language, Messages>>
  credits: object[]
  /** the drawings on the player's buttons as SVG, by what they mean */
  drawings: Record<string, string>
}

/** Messages that are said only where a level has a rule. */
const RULE_MESSAGES: Partial<Record<MessageKey, (settings: Settings) => boolean>> = {
  playOpen: ({ turn }) => turn.onOpen === 'turn-back',
  playMarks: ({ look }) => look.marks !== 'none',
  noMark: ({ look }) => look.marks !== 'none',
  howTitle: ({ head }) => head.buttons.includes('how-to'),
  slipCount: ({ finish }) => finish.slips,
}

/** The messages that a game needs, of several languages, as lists in one order, which is written down once. */
function wordLists(
  game: Game,
  words: BesideGame['words'],
): { keys: string[]; lists: Record<string, Message[]> } {
  const levels = game.levels.map((level) => resolveLevel(game, level))
  const unsaid = (key: MessageKey): boolean => {
    const isOn = RULE_MESSAGES[key]
    return (MIND_MESSAGES.has(key) && !hasRivals(game)) || (isOn !== undefined && !levels.some(isOn))
  }
  const keys = MESSAGE_KEYS.filter((key) => !unsaid(key))
  const lists = Object.entries(words).map(([language, messages]) => {
    const said = withOwn(messages, game.texts?.own[language as Language]?.says)
    return [language, keys.map((key) => said[key])]
  })
  return { keys, lists: Object.fromEntries(lists) }
}

/**
 * The element of a page that holds its game, with the minds that may play there, so that its script need not know the
 * standard ones. In: a game, and what is shown and said beside it.
 */
export function gameElement(game: Game, { art, words, credits, drawings }: BesideGame): string {
  // players need neither the author's own checks nor minds without a seat
  const { checks: _checks, minds = [], ...rest } = game
  const seated = seatedMinds(game)
  const seatedMindList = minds.filter(({ id }) => seated.has(id))
  const shippedGame = {
    ...rest,
    house: withoutLaterDefaults(game.house),
    ...(seatedMindList.length ? { minds: seatedMindList } : {}),
  }
  const players = mindsOf(game).filter(({ id }) => seated.has(id))
  const page = {
    version: GAME_VERSION,
    game: shippedGame,
    art,
    words: wordLists(game, words),
    credits,
    drawings,
    ...(players.length ? { minds: players } : {}),
  }
  return `${BEGIN}${safeJson(page)}${END}`
}

/**
 * The game inside a shipped page, checked like one from a file of its own; it has no kept checks. In: the text of an
 * HTML page.
 */
export function readShippedPage(text: string): Result<Game> {
  const at = text.indexOf(BEGIN)
  if (at < 0) return bad('', notAGame('a web page without a game inside'))
  const end = text.indexOf(END, at)
  if (end < 0) return bad('', 'this page is cut off in the middle of its game')
  const json = parseJson(text.slice(at + BEGIN.length, end))
  if (!json.ok) return json
  const { version, game } = (json.value ?? {}) as { version?: unknown; game?: object }
  return gameFrom({ checks: [], ...game, format: GAME_FORMAT, version })
}
