import { describe, expect, test } from '@jest/globals'
import { createHash } from 'node:crypto'
import { DEFAULTS } from '../core/settings/settings.ts'
import { MIND_MESSAGES } from '../core/texts/messages.ts'
import { ar } from '../core/texts/words/ar.ts'
import { de } from '../core/texts/words/de.ts'
import { en } from '../core/texts/words/en.ts'
import { gameWith, pairsNamed } from '../core/testing/games.ts'
import { creditsOf, licensesText, noticesText, worksIn, type Work } from './credits.ts'
import { shipHtml } from './html.ts'
import { gatherArt, picturesOf } from './pictures.ts'
import { credits, player } from './testing.ts'

const beside = { art: {}, words: { en } }

describe('a shipped file', () => {
  test('names the hashes of exactly what stands inside it', () => {
    const html = shipHtml(gameWith(), beside, player)
    const script = /<script>([\s\S]*?)<\/script>/.exec(html)![1]!
    const style = /<style>([\s\S]*?)<\/style>/.exec(html)![1]!
    const hash = (text: string): string => `'sha256-${createHash('sha256').update(text).digest('base64')}'`
    expect(html).toContain(`script-src ${hash(script)};`)
    expect(html).toContain(`style-src ${hash(style)};`)
    expect(script).toBe('start("<\\/script>")')
  })

  test('text from a game never becomes HTML', () => {
    const pairs = pairsNamed(1)
    pairs[0]!.a = { kind: 'text', text: '</script><img src=x onerror=alert(1)>' }
    const html = shipHtml({ ...gameWith({}, pairs), title: '</title><b>"&' }, beside, player)
    expect(html).not.toContain('<img')
    expect(html).toContain('<title>&lt;/title&gt;&lt;b&gt;&quot;&amp;</title>')
    const data = /id="lucky-twin-game">([\s\S]*?)<\/script>/.exec(html)![1]!
    expect(JSON.parse(data).game.deck.pairs[0].a.text).toBe('</script><img src=x onerror=alert(1)>')
  })
})

const wordsOf = (html: string): { keys: string[]; lists: Record<string, unknown[]> } =>
  JSON.parse(/id="lucky-twin-game">([\s\S]*?)<\/script>/.exec(html)![1]!).words

describe('its words', () => {
  const texts = {
    languages: ['de' as const, 'ar' as const],
    own: { de: { says: { won: 'Alles im Kasten! </script>' } } },
  }
  const html = shipHtml({ ...gameWith(), texts }, { art: {}, words: { de, ar } }, player)
  const { keys, lists } = wordsOf(html)
  test('are in the languages that the game names, and in no other', () => {
    expect(Object.keys(lists)).toEqual(['de', 'ar'])
    expect(html).toContain('<html lang="de" dir="ltr">')
    expect(html).not.toContain(en.remembered)
  })
  test('are its own where it has own ones', () => {
    const at = keys.indexOf('won')
    expect([lists.de![at], lists.ar![at]]).toEqual(['Alles im Kasten! </script>', ar.won])
  })
  test('are about minds only where one may play', () => {
    expect(keys).not.toContain('against')
    const offered = gameWith({ players: { ...DEFAULTS.players, offersRival: true } })
    const rivals = wordsOf(shipHtml(offered, { art: {}, words: { en } }, player))
    expect(rivals.lists.en![rivals.keys.indexOf('against')]).toBe(en.against)
    expect(rivals.keys).toHaveLength(keys.length + MIND_MESSAGES.size)
  })
})

describe('credits', () => {
  const pairs = pairsNamed(2)
  pairs[0]!.a = { kind: 'picture', name: 'hourglass-not-done' }
  const game = { ...gameWith({}, pairs), credits: ['Drawn by Ada'] }
  test('name what is inside, and nothing else', () => {
    expect(creditsOf(game, credits)).toEqual([
      { lines: ['Drawn by Ada'] },
      { heading: 'creditPictures', lines: ['Hourglass', 'Drawings, Somebody (MIT)'] },
      { heading: 'creditType', lines: ['Letters, Somebody (MIT)', 'Card letters, Somebody (MIT)'] },
      { heading: 'creditProgram', lines: ['Lucky Twin, Somebody (MIT)', 'Parts, Somebody (MIT)'] },
    ])
    const without = creditsOf(gameWith(), credits)
    expect(without.map(({ heading }) => heading)).toEqual(['creditType', 'creditProgram'])
    const pictured = gameWith({}, [{ id: 'a', name: 'A', a: { kind: 'picture', name: 'key' } }])
    expect(creditsOf(pictured, credits)[1]!.lines).toEqual(['Letters, Somebody (MIT)'])
    expect(shipHtml(pictured, beside, player)).not.toContain(player.faceFont)
    expect(shipHtml(gameWith(), beside, player)).toContain(player.faceFont)
  })
  test('have the licences in full beside them', () => {
    const text = licensesText(game, worksIn.page(game, credits))
    for (const words of ['Drawn by Ada', 'Drawings: do as you like', 'Letters: do', 'Lucky Twin: do'])
      expect(text).toContain(words)
    expect(licensesText(gameWith(), worksIn.page(gameWith(), credits))).not.toContain('Drawings')
  })
})

describe('notices of licences', () => {
  const mit = (by: string, head = ''): Work => ({
    name: `Of ${by}`,
    by,
    licence: 'MIT',
    text: `${head}Copyright (c) ${by}\n\nPermission is given -- to all.\nCopyright holders warrant nothing.\n`,
  })
  const works = {
    ...credits,
    pictures: mit('Ada'),
    program: [
      mit('Bob', 'MIT License\n\n'),
      {
        ...mit('Cy'),
        text: 'Copyright (c) Cy\n\nPermission is\ngiven to all. Copyright holders warrant nothing.',
      },
    ],
  }
  test('have every copyright line, and each text once', () => {
    const text = noticesText([works.pictures, ...works.program, credits.type[0]])
    for (const by of ['Ada', 'Bob', 'Cy'])
      expect(text).toContain(`Of ${by}, ${by} (MIT)\nCopyright (c) ${by}\n`)
    expect(text.match(/Permission/g)).toHaveLength(1)
    expect(text).toContain('Letters: do as you like')
  })
  test('stand in the page, and end no comment', () => {
    const html = shipHtml(gameWith(), beside, { ...player, credits: works })
    const [, comment] = /<!--([\s\S]*?)-->/.exec(html)!
    expect(comment).toContain('Copyright (c) Bob')
    expect(comment).toContain('Permission is given - to all.')
    expect(comment).toContain('Card letters: do as you like')
  })
})

describe('pictures', () => {
  const pairs = pairsNamed(3)
  pairs[0]!.a = { kind: 'picture', name: 'gear' }
  pairs[1]!.b = { kind: 'picture', name: 'key' }
  pairs[2]!.a = { kind: 'picture', name: 'gear' }

  test('are gathered once each', async () => {
    expect(picturesOf(gameWith({}, pairs))).toEqual(['gear', 'key'])
    const art = await gatherArt(gameWith({}, pairs), async (name) => `<svg id="${name}#"/>`)
    expect(art).toEqual({
      ok: true,
      value: { gear: expect.stringContaining('gear%23'), key: expect.any(String) },
    })
  })
  test('one that the library lacks is named by its place', async () => {
    const art = await gatherArt(gameWith({}, pairs), async (name) => (name === 'key' ? null : ''))
    expect(art).toEqual({
      ok: false,
      problem: { at: 'deck.pairs[1]', message: 'the library has no picture "key"' },
    })
  })
})
