import { afterAll, describe, expect, test } from '@jest/globals'
import type { Game } from '../../core/game/game.ts'
import type { Pair } from '../../core/deck/pair.ts'
import { gameWith } from '../../core/testing/games.ts'

await import('../testing/browser.ts')
const { default: Dexie } = await import('dexie')
const { allGames, SaveConflict, dropGame, keepGame, onceEver, oneGame, onOtherTab, putBack, sweepArt } =
  await import('./db.ts')

const image = (content: string): Pair => ({
  id: content.toLowerCase(),
  name: content,
  a: { kind: 'image', src: `data:image/png;base64,${content}` },
})
const titled = (title: string, pairs?: Pair[]): Game => ({ ...gameWith({}, pairs), title })

/** A second connection, to see what really lies in the storage. */
const beside = new Dexie('lucky-twin')
async function table<T>(name: string) {
  if (!beside.isOpen()) await beside.open()
  return beside.table<T>(name)
}
const stored = async (): Promise<string[]> =>
  (await (await table<{ src: string }>('art')).toArray()).map(({ src }) => src.split(',')[1]!).sort()
afterAll(() => beside.close())

describe('a kept game', () => {
  test('comes back as it was, its rev grown by one with each save', async () => {
    const first = titled('First', [image('AAAA')])
    expect(await keepGame('rev', first, 0)).toBe(1)
    expect(await keepGame('rev', { ...first, title: 'Second' }, 1)).toBe(2)
    expect(await oneGame('rev')).toMatchObject({ rev: 2, game: { ...first, title: 'Second' } })
  })
  test.each([
    ['an older rev', 1],
    ['a rev that is not there yet', 3],
    ['a new row under its key', 0],
  ])('is not written over from %s', async (_what, before) => {
    await expect(keepGame('rev', titled('Lost'), before)).rejects.toBeInstanceOf(SaveConflict)
    expect((await oneGame('rev'))!.game.title).toBe('Second')
  })
  test('is there to be put back after it was removed, with its images', async () => {
    const row = (await oneGame('rev'))!
    await dropGame('rev')
    expect(await oneGame('rev')).toBeUndefined()
    await putBack(row)
    expect(await oneGame('rev')).toEqual(row)
  })
})

describe('a large game', () => {
  type Part = { key: string; text: string }
  const parts = async (key: string): Promise<string[]> =>
    (await (await table<Part>('parts')).toArray()).filter((row) => row.key === key).map(({ text }) => text)
  const markAll = async (mark: (part: Part) => void): Promise<void> =>
    void (await (await table<Part>('parts')).toCollection().modify(mark))
  const level = (id: string) => ({ id, name: id })
  test('is written anew only in the parts that changed', async () => {
    const first = { ...titled('Parts'), levels: ['a', 'b', 'c'].map(level) }
    await keepGame('parts', first, 0)
    // a mark on what is stored shows what is written over
    await markAll((row) => void (row.text += ' '))
    const second = { ...first, levels: [first.levels[0]!, { ...level('b'), name: 'B' }, first.levels[2]!] }
    await keepGame('parts', second, 1)
    expect((await parts('parts')).map((text) => text.endsWith(' '))).toEqual([true, true, false, true])
    expect((await oneGame('parts'))!.game).toEqual(second)
  })
  test('loses the parts it no longer has, and all of them with the game', async () => {
    const { game } = (await oneGame('parts'))!
    const third = { ...game, levels: [game.levels[2]!] }
    await keepGame('parts', third, 2)
    expect(await parts('parts')).toHaveLength(2)
    expect((await oneGame('parts'))!.game).toEqual(third)
    await dropGame('parts')
    expect(await parts('parts')).toEqual([])
  })
  test('that another tab changed is written whole', async () => {
    const game = { ...titled('Tabs'), levels: ['a', 'b'].map(level) }
    await keepGame('tabs', game, 0)
    const other = new BroadcastChannel('lucky-twin')
    const heard = new Promise((resolve) => onOtherTab(resolve))
    await markAll((row) => void (row.text = '{}'))
    other.postMessage('tabs')
    await heard
    other.close()
    await keepGame('tabs', { ...game, title: 'Mine' }, 1)
    expect((await oneGame('tabs'))!.game).toEqual({ ...game, title: 'Mine' })
  })
})

describe('own images', () => {
  test('are stored once for all games, and swept when the last that shows them is gone', async () => {
    await keepGame('one', titled('One', [image('BBBB'), image('CCCC')]), 0)
    await keepGame('two', titled('Two', [image('CCCC')]), 0)
    expect(await stored()).toEqual(['AAAA', 'BBBB', 'CCCC'])
    await dropGame('one')
    await sweepArt()
    expect(await stored()).toEqual(['AAAA', 'CCCC'])
    expect((await oneGame('two'))!.game.deck.pairs).toEqual([image('CCCC')])
  })
})

test('what is done once ever is done by the first of all tabs that come at once', async () => {
  const row = { key: 'demo', game: titled('Demo'), rev: 1, touched: 0 }
  await Promise.all([
    onceEver('demos', async () => [row]),
    onceEver('demos', async () => [{ ...row, key: 'again' }]),
  ])
  await onceEver('demos', async () => [{ ...row, key: 'later' }])
  const keys = (await allGames()).map(({ key }) => key)
  expect(keys.filter((key) => ['demo', 'again', 'later'].includes(key))).toHaveLength(1)
  expect(keys).not.toContain('later')
})
