import Papa from 'papaparse'
import type { Game } from '../game/game.ts'
import { languagesOf } from '../game/in-language.ts'
import { canSay, ownSaid, saidBefore, saidRows, saySo } from '../game/message-table.ts'
import { textsSchema } from '../game/texts-schema.ts'
import { bad, good, quoted, type Result } from '../result.ts'
import { isLanguage, languageName, type Language } from '../texts/languages.ts'
import type { Messages } from '../texts/messages.ts'
import { parseJson, readWith } from './read-json.ts'
import { csvCell, rowsCsv } from './rows.ts'

/**
 * The texts of a game in its languages as a table for translators: CSV, or JSON with the same keys. A row is a text, a
 * column a language.
 */

export type TextsByLanguage = Partial<Record<Language, Messages>>

/**
 * Each text with its place, what it is, and what each language says; where it says nothing of its own, the cell is
 * empty.
 */
function rowsOf(game: Game, words: TextsByLanguage): Record<string, string>[] {
  const languages = languagesOf(game)
  return saidRows(game).map(({ id, what }) => ({
    id,
    what,
    before: saidBefore(game, id, words[languages[0]]!),
    ...Object.fromEntries(languages.map((language) => [language, ownSaid(game, language, id)])),
  }))
}

/** In: a game, and the messages of its languages. Out: CSV with a head, lines ended by CRLF. */
export const textsCsv = (game: Game, words: TextsByLanguage): string => rowsCsv(rowsOf(game, words))

/** The same as JSON: a list of objects. */
export const textsJson = (game: Game, words: TextsByLanguage): string =>
  JSON.stringify(rowsOf(game, words), null, 2) + '\n'

/**
 * A game with the texts of such a table. Rows and columns that are left out stay as they are, an empty cell gives the
 * text back. In: the text of a CSV or JSON file, the game, and the messages of its languages. A problem names the line
 * or row.
 */
export function readTexts(text: string, game: Game, words: TextsByLanguage): Result<Game> {
  const rows = /^\s*\[/.test(text) ? fromJson(text) : fromCsv(text)
  if (!rows.ok) return rows
  const ids = new Set(saidRows(game).map(({ id }) => id))
  const languages = languagesOf(game)
  let next = game
  for (const [i, row] of rows.value.entries()) {
    const where = `row ${i + 1}`
    const { id = '' } = row
    if (!ids.has(id)) return bad(where, `${quoted(id)} is no text of this game`)
    for (const [column, said] of Object.entries(row)) {
      if (!isLanguage(column)) continue
      if (!languages.includes(column))
        return bad(where, `${languageName(column)} is not among the game's languages; add it first`)
      if (canSay(next, column, id)) next = saySo(next, column, id, said.trim(), words[column]!)
    }
  }
  const texts = readWith(textsSchema, next.texts)
  return texts.ok ? good(next) : texts
}

function fromCsv(text: string): Result<Record<string, string>[]> {
  const { data, meta } = Papa.parse<Record<string, string>>(text.replace(/^\ufeff/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
  })
  if (!meta.fields?.includes('id'))
    return bad('line 1', 'a column "id" is missing; export the texts to see how they are named')
  // a row may have more cells than the head has names
  return good(
    data.map((row) => Object.fromEntries((meta.fields ?? []).map((key) => [key, csvCell(row[key] ?? '')]))),
  )
}

function fromJson(text: string): Result<Record<string, string>[]> {
  const json = parseJson(text)
  if (!json.ok) return json
  const rows = json.value as unknown[]
  const wrong = rows.findIndex(
    (row) =>
      typeof row !== 'object' ||
      row === null ||
      Object.values(row).some((value) => typeof value !== 'string'),
  )
  return wrong < 0 ? good(rows as Record<string, string>[]) : bad(`row ${wrong + 1}`, 'must have texts only')
}
