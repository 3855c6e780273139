import { afterAll, describe, expect, test } from '@jest/globals'
import type { Game } from '../../core/game/game.ts'
import type { Pair } from '../../core/deck/pair.ts'
import { gameWith } from '../../core/testing/games.ts'

await import('../testing/browser.ts')
const { default: Dexie } = await import('dexie')
const {
  allGames,
  anyGame,
  SaveConflict,
  dropGame,
  keepGame,
  layGames,
  onceEver,
  oneGame,
  onOtherTab,
  setRemoved,
  sweepArt,
} = await import('./db.ts')

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
  let rev = 0
  test('comes back as it was, its rev grown by one with each save', async () => {
    const first = titled('First', [image('AAAA')])
    rev = await keepGame('rev', first, 0)
    expect(await keepGame('rev', { ...first, title: 'Second' }, rev)).toBe(rev + 1)
    expect(await oneGame('rev')).toMatchObject({ rev: rev + 1, game: { ...first, title: 'Second' } })
  })
  test.each([
    ['an older rev', () => rev],
    ['a rev that is not there yet', () => rev + 2],
    ['a new row under its key', () => 0],
  ])('is not written over from %s', async (_what, before) => {
    await expect(keepGame('rev', titled('Lost'), before())).rejects.toBeInstanceOf(SaveConflict)
    expect((await oneGame('rev'))!.game.title).toBe('Second')
  })
  test('that was removed, put into the bin, or made anew meanwhile, is not written over', async () => {
    const there = (): Promise<number> => keepGame('gone', titled('There'), 0)
    const late = (before: number) => expect(keepGame('gone', titled('Late'), before)).rejects
    let before = await there()
    await setRemoved('gone', 1000)
    await late(before).toBeInstanceOf(SaveConflict)
    expect(await anyGame('gone')).toMatchObject({ removed: 1000, game: { title: 'There' } })
    before = (await anyGame('gone'))!.rev
    await dropGame('gone')
    await late(before).toBeInstanceOf(SaveConflict)
    before = await there()
    await dropGame('gone')
    await there()
    await late(before).toBeInstanceOf(SaveConflict)
    await dropGame('gone')
  })
})

describe('games of a backup', () => {
  const row = (key: string, title: string, how: 'add' | 'replace') => ({
    key,
    touched: 5,
    game: titled(title, [image('AAAA')]),
    how,
  })
  const titles = async (): Promise<Record<string, string>> =>
    Object.fromEntries(
      (await allGames())
        .filter(({ key }) => key.startsWith('laid'))
        .map(({ key, game, removed }) => [key, `${game.title}${removed ? ', binned' : ''}`]),
    )
  test('are laid beside all others, or in place of one, which goes into the bin', async () => {
    await keepGame('laid', titled('Old', [image('AAAA')]), 0)
    await layGames([
      row('laid', 'Beside', 'add'),
      row('laid', 'New', 'replace'),
      row('laid-x', 'X', 'replace'),
    ])
    expect(await titles()).toEqual({
      laid: 'New',
      'laid-2': 'Beside',
      'laid-3': 'Old, binned',
      'laid-x': 'X',
    })
    expect((await oneGame('laid'))!.game.deck.pairs).toEqual([image('AAAA')])
    expect(await oneGame('laid-2')).toMatchObject({ touched: 5 })
  })
  test('replace what another tab saved a moment ago, and it goes into the bin too', async () => {
    const { rev } = (await oneGame('laid'))!
    const laying = layGames([row('laid', 'Newest', 'replace')])
    const saved = await keepGame('laid', titled('Just saved'), rev).catch(() => 0)
    await laying
    const all = Object.values(await titles())
    expect(all).toContain('Newest')
    expect(all.includes('Just saved, binned')).toBe(saved > 0)
    // the other tab goes on from what it saved, and is not heard
    await expect(keepGame('laid', titled('Late'), saved || rev)).rejects.toBeInstanceOf(SaveConflict)
  })
  test('are laid all or none: nothing is there after a cancel', async () => {
    const before = await titles()
    for (const after of [1, 2, 3, 4]) {
      const stop = new AbortController()
      let steps = 0
      const progress = (): void => {
        if (++steps === after) stop.abort(new Error('stopped'))
      }
      const games = [row('laid-y', 'Y', 'add'), row('laid', 'Z', 'replace'), row('laid-z', 'Z', 'add')]
      await expect(layGames(games, progress, stop.signal)).rejects.toThrow('stopped')
    }
    expect(await titles()).toEqual(before)
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
    const rev = await keepGame('parts', first, 0)
    // a mark on what is stored shows what is written over
    await markAll((row) => void (row.text += ' '))
    const second = { ...first, levels: [first.levels[0]!, { ...level('b'), name: 'B' }, first.levels[2]!] }
    await keepGame('parts', second, rev)
    expect((await parts('parts')).map((text) => text.endsWith(' '))).toEqual([true, true, false, true])
    expect((await oneGame('parts'))!.game).toEqual(second)
  })
  test('loses the parts it no longer has, and all of them with the game', async () => {
    const { game, rev } = (await oneGame('parts'))!
    const third = { ...game, levels: [game.levels[2]!] }
    await keepGame('parts', third, rev)
    expect(await parts('parts')).toHaveLength(2)
    expect((await oneGame('parts'))!.game).toEqual(third)
    await dropGame('parts')
    expect(await parts('parts')).toEqual([])
  })
  test('that another tab changed is written whole', async () => {
    const game = { ...titled('Tabs'), levels: ['a', 'b'].map(level) }
    const rev = await keepGame('tabs', game, 0)
    const other = new BroadcastChannel('lucky-twin')
    const heard = new Promise((resolve) => onOtherTab(resolve))
    await markAll((row) => void (row.text = '{}'))
    other.postMessage('tabs')
    await heard
    other.close()
    await keepGame('tabs', { ...game, title: 'Mine' }, rev)
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
