import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { readGame, writeGame } from '../files/game-file.ts'
import { gameElement, readShippedPage } from '../files/shipped-page.ts'
import { problemLine } from '../result.ts'
import { gameWith, nothingBeside, pairsNamed } from '../testing/games.ts'
import { LANGUAGES } from '../texts/languages.ts'
import type { Texts } from '../texts/own.ts'
import type { Game } from './game.ts'
import { gameIn } from './in-language.ts'

const texts: Texts = {
  languages: ['en', 'de'],
  own: {
    en: { says: { won: 'The drawer is in order!' } },
    de: {
      title: 'Der Kasten',
      says: { pairs: { one: '{n} Zwilling', other: '{n} Zwillinge' } },
      levels: { first: { name: 'Erstes', behind: 'Ein Uhrwerk' } },
      pairs: { p0: { name: 'Rad', a: { text: 'R', alt: 'ein Rad' }, b: { text: 'nichts' } } },
      behind: 'Eine Uhr',
      players: ['Anna'],
    },
  },
}
const game: Game = { ...gameWith({}, pairsNamed(3)), texts, credits: ['Drawn by Ada'] }
/** What reading says of texts, as a file may have them. */
const complaint = (wrong: object): string => {
  const read = readGame(JSON.stringify({ ...JSON.parse(writeGame(game)), ...wrong }))
  return read.ok ? 'fine' : problemLine(read.problem)
}

describe('texts of a game', () => {
  test('are kept in its file and in a shipped page', () => {
    expect(readGame(writeGame(game))).toEqual({ ok: true, value: game })
    const page = readShippedPage(gameElement(game, nothingBeside))
    expect(page.ok && [page.value.texts, page.value.credits]).toEqual([texts, ['Drawn by Ada']])
  })
  test('are not missed in a game that has none', () => {
    const { texts: _, credits: __, ...plain } = game
    expect(JSON.parse(writeGame(plain)).texts).toBeUndefined()
    expect(gameIn(plain, 'de')).toBe(plain)
  })
  test.each([
    [
      'a language that is none',
      { texts: { languages: ['xx-nowhere'], own: {} } },
      'texts.languages[0]: one of "en", "de", "fr"',
    ],
    [
      'a language twice',
      { texts: { languages: ['en', 'en'], own: {} } },
      'texts.languages[1]: English is there twice',
    ],
    ['no language', { texts: { languages: [], own: {} } }, 'texts.languages'],
    [
      '10,000 letters',
      { texts: { languages: ['en'], own: { en: { says: { won: 'x'.repeat(10_000) } } } } },
      'texts.own.en.says.won',
    ],
    [
      'a mark that reverses the text',
      { texts: { languages: ['en'], own: { en: { title: 'Drawer\u202e' } } } },
      'texts.own.en.title: has an invisible mark that reverses the text',
    ],
    [
      'a place that nothing fills',
      { texts: { languages: ['en'], own: { en: { says: { next: 'Then {name}' } } } } },
      'texts.own.en.says.next: {name} stands for nothing here; what can be filled in is {level}',
    ],
    [
      'a message that is none',
      { texts: { languages: ['en'], own: { en: { says: { victory: '' } } } } },
      'texts.own.en.says',
    ],
    ['credits without end', { credits: Array.from({ length: 21 }, () => 'x') }, 'credits'],
  ])('%s is refused by name', (_what, wrong, message) => expect(complaint(wrong)).toContain(message))
})

describe('a game in another language', () => {
  test('has its names and faces there, and keeps what it does not say', () => {
    const german = gameIn(game, 'de')
    expect(german.title).toBe('Der Kasten')
    expect(german.levels[0]!.name).toBe('Erstes')
    expect(german.house.players.names).toEqual(['Anna'])
    expect(german.deck.pairs[0]).toEqual({
      id: 'p0',
      name: 'Rad',
      a: { kind: 'text', text: 'R', alt: 'ein Rad' },
    })
    expect(german.deck.pairs.slice(1)).toEqual(game.deck.pairs.slice(1))
    expect(gameIn(game, 'en')).toEqual(game)
  })
  test('describes the picture behind its cards there, if it has one', () => {
    const behind = { kind: 'picture' as const, name: 'clock' }
    const look = { ...game.house.look, behind }
    const german = gameIn(
      { ...game, house: { ...game.house, look }, levels: [{ ...game.levels[0]!, look: { behind } }] },
      'de',
    )
    expect(german.house.look.behind?.alt).toBe('Eine Uhr')
    expect(german.levels[0]!.look!.behind?.alt).toBe('Ein Uhrwerk')
  })
  test('deals and plays as before: only words differ', () =>
    fc.assert(
      fc.property(fc.constantFrom(...LANGUAGES), (language) => {
        const { deck, levels, house } = gameIn(game, language)
        expect(deck.pairs.map(({ id, b }) => [id, !!b])).toEqual(
          game.deck.pairs.map(({ id, b }) => [id, !!b]),
        )
        expect({ ...house, players: 0 }).toEqual({ ...game.house, players: 0 })
        expect(levels.map(({ name: _, ...rest }) => rest)).toEqual(
          game.levels.map(({ name: _, ...rest }) => rest),
        )
      }),
    ))
})
