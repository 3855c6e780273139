import { expect, test } from '@jest/globals'
import { gameWith, pairsNamed } from '../../core/testing/games.ts'

await import('../testing/browser.ts')
const { default: Dexie } = await import('dexie')

/** What the storage held before games were kept in parts: each as one text. */
test('games that were kept as one text are taken along', async () => {
  const src = 'data:image/png;base64,AAAA'
  const game = { ...gameWith({}, pairsNamed(3)), title: 'Kept' }
  game.levels.push({ id: 'second', name: 'Second' })
  game.deck.pairs[1]!.a = { kind: 'image', src }
  const light = structuredClone(game)
  light.deck.pairs[1]!.a = { kind: 'image', src: 'art:abc' }
  const before = new Dexie('lucky-twin')
  before.version(4).stores({ games: 'key, [key+rev]', notes: 'name', art: 'hash' })
  await before.table('art').put({ hash: 'abc', src })
  await before
    .table('games')
    .put({ key: 'kept', rev: 7, touched: 5, text: JSON.stringify(light), art: ['abc'] })
  before.close()

  const { allGames, keepGame, oneGame } = await import('./db.ts')
  expect(await allGames()).toEqual([{ key: 'kept', rev: 7, touched: 5, game }])
  expect(await keepGame('kept', { ...game, title: 'Later' }, 7)).toBe(8)
  expect((await oneGame('kept'))!.game).toEqual({ ...game, title: 'Later' })
})
