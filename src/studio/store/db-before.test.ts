import { beforeEach, expect, jest, test } from '@jest/globals'
import { gameWith, pairsNamed } from '../../core/testing/games.ts'

await import('../testing/browser.ts')
const { default: Dexie } = await import('dexie')

const src = 'data:image/png;base64,AAAA'
const game = { ...gameWith({}, pairsNamed(250)), title: 'Kept' }
game.levels.push({ id: 'second', name: 'Second' })
game.deck.pairs[1]!.a = { kind: 'image', src }
const light = structuredClone(game)
light.deck.pairs[1]!.a = { kind: 'image', src: 'art:abc' }
const { deck, levels } = light
const row = { key: 'kept', rev: 7, touched: 5, art: ['abc'] }

const BEFORE = {
  'each as one text': {
    version: 4,
    stores: { games: 'key, [key+rev]', notes: 'name', art: 'hash' },
    rows: { games: [{ ...row, text: JSON.stringify(light) }] },
  },
  'all pairs as one part': {
    version: 5,
    stores: { games: 'key, [key+rev]', notes: 'name', art: 'hash', parts: '[key+at]' },
    rows: {
      games: [
        { ...row, frame: JSON.stringify({ ...light, deck: { ...deck, pairs: [] }, levels: [] }) },
        {
          ...row,
          key: 'other',
          frame: JSON.stringify({ ...light, deck: { ...deck, pairs: [] }, levels: [] }),
        },
      ],
      parts: ['kept', 'other'].flatMap((key) =>
        [deck.pairs, ...levels].map((part, at) => ({ key, at, text: JSON.stringify(part) })),
      ),
    },
  },
}

beforeEach(async () => {
  jest.resetModules()
  await Dexie.delete('lucky-twin')
})

test.each(Object.entries(BEFORE))('games that were kept %s are taken along', async (_how, before) => {
  const storage = new Dexie('lucky-twin')
  storage.version(before.version).stores(before.stores)
  await storage.table('art').put({ hash: 'abc', src })
  for (const [name, rows] of Object.entries(before.rows)) await storage.table(name).bulkPut(rows)
  storage.close()

  const { allGames, keepGame, oneGame } = await import('./db.ts')
  expect(await allGames()).toEqual(before.rows.games.map(({ key }) => ({ key, rev: 7, touched: 5, game })))
  const pairs = game.deck.pairs.with(130, { ...game.deck.pairs[130]!, name: 'Later' })
  const later = { ...game, deck: { ...game.deck, pairs } }
  await oneGame('kept')
  expect(await keepGame('kept', later, 7)).toBe(8)
  expect((await oneGame('kept'))!.game).toEqual(later)
})
