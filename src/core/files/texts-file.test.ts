import { beforeAll, describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { Game } from '../game/game.ts'
import { gameIn } from '../game/in-language.ts'
import { canSay, missingIn, ownSaid, saidBefore, saidRows, saySo } from '../game/message-table.ts'
import { problemLine } from '../result.ts'
import { gameWith, pairsNamed } from '../testing/games.ts'
import type { Language } from '../texts/languages.ts'
import type { Messages } from '../texts/messages.ts'
import { messagesIn } from '../texts/ready.ts'
import { readTexts, textsCsv, textsJson } from './texts-file.ts'
import { readGame, writeGame } from './game-file.ts'

const LANGUAGES: Language[] = ['en', 'pl', 'ja']
const pairs = pairsNamed(2, (i) => i === 1)
pairs[0]!.a.alt = 'a cog'
const game: Game = { ...gameWith({}, pairs), texts: { languages: LANGUAGES, own: {} } }
let words: Partial<Record<Language, Messages>>
beforeAll(async () => {
  words = await messagesIn(LANGUAGES)
})
const anyText = fc
  .string({ minLength: 1, maxLength: 20 })
  .map((text) => text.trim().replace(/[{}]/g, ''))
  .filter(Boolean)

describe('what a game can say', () => {
  test('are its names, faces and all messages, with the plural forms of its languages', () => {
    const ids = saidRows(game).map(({ id }) => id)
    for (const id of [
      'title',
      'players/0',
      'levels/first/name',
      'pairs/p0/a/alt',
      'pairs/p1/b/text',
      'says/won',
    ])
      expect(ids).toContain(id)
    expect(ids.filter((id) => id.startsWith('says/points'))).toEqual(
      ['one', 'few', 'many', 'other'].map((form) => `says/points/${form}`),
    )
    expect(new Set(ids).size).toBe(ids.length)
  })
  test('not every language has every form, and names of the own language stand in the game', () => {
    expect(['en', 'pl', 'ja'].map((one) => canSay(game, one as Language, 'says/points/few'))).toEqual([
      false,
      true,
      false,
    ])
    expect([canSay(game, 'en', 'title'), canSay(game, 'pl', 'title')]).toEqual([false, true])
  })
  test('a form that is said keeps the others as they are; given back, nothing is left', () => {
    const said = saySo(game, 'pl', 'says/points/few', '{n} oczka', words.pl!)
    expect(said.texts!.own.pl).toEqual({
      says: { points: { ...(words.pl!.points as object), few: '{n} oczka' } },
    })
    expect(saySo(said, 'pl', 'says/points/few', '', words.pl!).texts!.own).toEqual({})
  })
  test('what is said is shown, read back and counted as there', () =>
    fc.assert(
      fc.property(fc.constantFrom(...saidRows(game)), anyText, (row, text) => {
        fc.pre(canSay(game, 'pl', row.id))
        const said = saySo(game, 'pl', row.id, text.slice(0, row.longest), words.pl!)
        expect(ownSaid(said, 'pl', row.id)).toBe(text.slice(0, row.longest))
        expect(readGame(writeGame(said))).toEqual({ ok: true, value: { ...said } })
        expect(missingIn(said, 'pl')).toHaveLength(
          missingIn(game, 'pl').length - Number(row.group === 'names'),
        )
        const shown = gameIn(said, 'pl')
        if (row.group === 'names') expect(saidBefore(shown, row.id, words.pl!)).toBe(text)
        expect(saySo(said, 'pl', row.id, '', words.pl!).texts!.own).toEqual({})
      }),
    ))
})

describe('a table of texts', () => {
  const said = (): Game =>
    saySo(saySo(game, 'pl', 'title', 'Szuflada, "nowa"', words.pl!), 'ja', 'says/won', '全部', words.ja!)
  test('comes back as it went, as CSV and as JSON', () => {
    for (const text of [textsCsv(said(), words), textsJson(said(), words)]) {
      expect(readTexts(text, said(), words)).toEqual({ ok: true, value: said() })
      const read = readTexts(text, game, words)
      expect(read.ok && read.value.texts!.own).toEqual(said().texts!.own)
    }
  })
  test('a column or row that is left out changes nothing; an empty cell gives the text back', () => {
    const read = readTexts('id,pl\r\ntitle,\r\n', said(), words)
    expect(read.ok && read.value.texts!.own).toEqual({ ja: { says: { won: '全部' } } })
  })
  test.each([
    ['name,pl\ntitle,x', 'line 1: a column "id" is missing'],
    ['id,pl\nheading,x', 'row 1: "heading" is no text of this game'],
    ['id,de\ntitle,x', "row 1: Deutsch is not among the game's languages; add it first"],
    [`id,pl\nsays/won,${'x'.repeat(10_000)}`, 'own.pl.says.won'],
    ['id,pl\nsays/next,Dalej {name}', '{name} stands for nothing here'],
    ['[{"id": "title", "pl": 3}]', 'row 1: must have texts only'],
    ['[{"id": ', 'JSON'],
  ])('%s is refused', (text, message) => {
    const read = readTexts(text, game, words)
    expect(read.ok ? 'fine' : problemLine(read.problem)).toContain(message)
  })
})
