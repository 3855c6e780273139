import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals'
import fc from 'fast-check'
import { createPinia, setActivePinia } from 'pinia'
import type { Game } from '../../core/game/game.ts'
import { gameWith } from '../../core/testing/games.ts'

await import('../testing/browser.ts')
const { useBench } = await import('./bench.ts')
const { anyGame, dropGame, keepGame, oneGame, onOtherTab, setRemoved } = await import('./db.ts')

const key = 'bench'
let now = 0
let last: ReturnType<typeof useBench> | null = null

/** The bench hears that another tab changed its game; `meanwhile` happens before it has read what is there now. */
async function hear(meanwhile: () => void = () => undefined): Promise<void> {
  const other = new BroadcastChannel('lucky-twin')
  const message = new Promise<string>((resolve) => onOtherTab(resolve))
  other.postMessage(key)
  await message
  meanwhile()
  other.close()
  await anyGame(key)
  await anyGame(key)
}

/** A bench with a new game on it. */
async function benchWith(game: Game = gameWith()) {
  setActivePinia(createPinia())
  const bench = (last = useBench())
  const before = await oneGame(key)
  await keepGame(key, game, before?.rev ?? 0)
  await bench.open(key)
  return bench
}
beforeEach(() => {
  now = 0
  jest.spyOn(Date, 'now').mockImplementation(() => now)
})
// what is not kept yet would be kept in the midst of the next test
afterEach(async () => {
  await last?.flush()
  jest.restoreAllMocks()
})

const titled =
  (title: string) =>
  (game: Game): void =>
    void (game.title = title)

describe('the history', () => {
  test('goes back and forth through any edits as if each document had been kept', async () => {
    const bench = await benchWith()
    const start = bench.game!
    const step = fc.constantFrom('edit' as const, 'undo' as const, 'redo' as const)
    fc.assert(
      fc.property(fc.array(step, { maxLength: 40 }), (steps) => {
        bench.replace(start, 'again')
        bench.past = []
        bench.future = []
        const kept = [start]
        let at = 0
        steps.forEach((what, i) => {
          if (what === 'edit') {
            bench.edit('rename', titled(`name ${i}`))
            kept.splice(++at, Infinity, bench.game!)
          } else if (what === 'undo') {
            bench.undo()
            at = Math.max(0, at - 1)
          } else {
            bench.redo()
            at = Math.min(kept.length - 1, at + 1)
          }
          expect(bench.game).toBe(kept[at])
          expect([bench.past.length, bench.future.length]).toEqual([at, kept.length - 1 - at])
        })
      }),
    )
  })
  test('joins an edit neither to one that was undone nor to one that was done again', async () => {
    const bench = await benchWith()
    const edit = (title: string): void => bench.edit('rename', titled(title), 'title')
    edit('one')
    bench.undo()
    bench.redo()
    edit('two')
    expect(bench.past).toHaveLength(2)
    bench.undo()
    expect(bench.game!.title).toBe('one')
    edit('three')
    bench.undo()
    expect(bench.game!.title).toBe('one')
    // nor to the one before what was undone
    edit('four')
    bench.edit('add a credit', (game) => void (game.credits = ['Somebody']))
    bench.undo()
    edit('five')
    bench.undo()
    expect(bench.game!.title).toBe('four')
  })
  test('takes quick edits of one thing as one step, slow ones and other things as their own', async () => {
    const bench = await benchWith()
    const edit = (about: string | null, after: number): void => {
      now += after
      bench.edit('rename', titled(`at ${now}`), about)
    }
    edit('title', 0)
    edit('title', 1199)
    edit('title', 1199)
    expect(bench.past).toHaveLength(1)
    edit('title', 1200)
    expect(bench.past).toHaveLength(2)
    edit('other', 1)
    edit(null, 1)
    edit(null, 1)
    expect(bench.past).toHaveLength(5)
    // what was undone is not joined to
    bench.undo()
    edit(null, 1)
    expect([bench.past.length, bench.future.length]).toEqual([5, 0])
  })
  test('an edit that changes nothing is no step', async () => {
    const bench = await benchWith()
    bench.edit('rename', titled(bench.game!.title))
    expect(bench.past).toHaveLength(0)
  })
  test('keeps the last 200 steps', async () => {
    const bench = await benchWith()
    for (let i = 0; i < 250; i++) bench.edit('rename', titled(`name ${i}`))
    expect(bench.past).toHaveLength(200)
    for (let i = 0; i < 300; i++) bench.undo()
    expect(bench.game!.title).toBe('name 49')
  })
  test('leaves a level that an undo takes away', async () => {
    const bench = await benchWith()
    bench.edit('add a level', ({ levels }) => void levels.push({ id: 'second', name: 'Second' }))
    bench.rung = 'second'
    bench.undo()
    expect(bench.rung).toBe('first')
  })
})

describe('a setting', () => {
  test('belongs to the open level, or to the house rules, and is given back', async () => {
    const bench = await benchWith()
    bench.rung = null
    bench.set('board', { rows: 6 })
    expect(bench.game!.house.board.rows).toBe(6)
    bench.rung = 'first'
    expect([bench.settings!.board.rows, bench.owns('board', 'rows')]).toEqual([6, false])
    bench.set('board', { rows: 2 })
    expect([bench.settings!.board.rows, bench.owns('board', 'rows')]).toEqual([2, true])
    expect(bench.game!.house.board.rows).toBe(6)
    bench.giveBack('board', 'rows')
    expect([bench.settings!.board.rows, bench.owns('board', 'rows')]).toEqual([6, false])
  })
  test('that is turned quickly is one step, unless each turn is to count', async () => {
    const bench = await benchWith()
    for (const rows of [3, 4, 5]) bench.set('board', { rows })
    // 4 rows was what it had
    expect(bench.past).toHaveLength(1)
    for (const columns of [5, 6]) bench.set('board', { columns }, 'change a setting', 'single')
    expect(bench.past).toHaveLength(3)
  })
})

describe('keeping', () => {
  test('what was edited is kept, the last of quick edits once', async () => {
    const bench = await benchWith()
    const before = (await oneGame(key))!.rev
    bench.edit('rename', titled('One'))
    bench.edit('rename', titled('Two'))
    expect(bench.state).toBe('saving')
    await bench.flush()
    expect(bench.state).toBe('saved')
    expect(await oneGame(key)).toMatchObject({ rev: before + 1, game: { title: 'Two' } })
  })
  test('edits without a pause are kept on the way', async () => {
    const bench = await benchWith()
    const before = (await oneGame(key))!.rev
    // one edit right after the other: a pause that is waited for never comes
    let edits = 0
    while ((await oneGame(key))!.rev === before && edits < 20_000)
      bench.edit('rename', titled(`name ${edits++}`))
    expect((await oneGame(key))!.rev).toBeGreaterThan(before)
    await bench.flush()
    expect((await oneGame(key))!.game.title).toBe(`name ${edits - 1}`)
  })
  /** The bench after another tab has saved behind its back. */
  async function clashed() {
    const bench = await benchWith()
    await keepGame(key, { ...bench.game!, title: 'Theirs' }, (await oneGame(key))!.rev)
    bench.edit('rename', titled('Mine'))
    await bench.flush()
    expect(bench.state).toBe('clash')
    expect((await oneGame(key))!.game.title).toBe('Theirs')
    return bench
  }
  test('another tab’s work is not written over: theirs can be taken, and mine had again', async () => {
    const bench = await clashed()
    await bench.takeTheirs()
    expect([bench.game!.title, bench.state]).toEqual(['Theirs', 'saved'])
    bench.undo()
    await bench.flush()
    expect((await oneGame(key))!.game.title).toBe('Mine')
  })
  test('or mine is kept over it', async () => {
    const bench = await clashed()
    await bench.keepMine()
    expect([bench.state, (await oneGame(key))!.game.title]).toEqual(['saved', 'Mine'])
  })
  test('a clash is heard of before the next save, where there are edits that are not saved', async () => {
    const bench = await benchWith()
    // the save does not come by itself
    jest.spyOn(window, 'setTimeout').mockImplementation((() => 1) as unknown as typeof window.setTimeout)
    bench.edit('rename', titled('Mine'))
    expect(bench.state).toBe('saving')
    const { rev, game } = (await oneGame(key))!
    await keepGame(key, { ...game, title: 'Theirs' }, rev)
    await hear()
    expect([bench.state, bench.game!.title]).toEqual(['clash', 'Mine'])
  })
  test('an edit made while the other tab’s version is read is a clash, not put aside', async () => {
    const bench = await benchWith()
    await keepGame(key, { ...bench.game!, title: 'Theirs' }, (await oneGame(key))!.rev)
    await hear(() => bench.edit('rename', titled('Mine')))
    expect([bench.state, bench.clash, bench.game!.title]).toEqual(['clash', 'changed', 'Mine'])
    expect((await oneGame(key))!.game.title).toBe('Theirs')
  })
  test('with nothing unsaved the other tab’s version is taken over, and that is told', async () => {
    const bench = await benchWith()
    const { times } = bench.takenOver
    await keepGame(key, { ...bench.game!, title: 'Theirs' }, (await oneGame(key))!.rev)
    await hear()
    expect([bench.state, bench.game!.title]).toEqual(['saved', 'Theirs'])
    expect(bench.takenOver).toEqual({ times: times + 1, lost: null })
  })
  test('where it lacks the open level, that is told, and edits go to the level that is open then', async () => {
    const levels = ['one', 'two'].map((id) => ({ id, name: id.toUpperCase() }))
    const bench = await benchWith({ ...gameWith(), levels })
    bench.rung = 'two'
    const { house } = bench.game!
    await keepGame(key, { ...bench.game!, levels: levels.slice(0, 1) }, (await oneGame(key))!.rev)
    await hear()
    expect([bench.rung, bench.takenOver.lost]).toEqual(['one', 'TWO'])
    bench.set('board', { rows: 2 })
    expect(bench.game!.house).toEqual(house)
    expect(bench.game!.levels[0]!.board).toEqual({ rows: 2 })
    bench.undo()
    bench.undo()
    expect(bench.game!.levels).toEqual(levels)
  })
  test.each([
    ['binned', () => setRemoved(key, 1000)],
    ['deleted', () => dropGame(key)],
  ] as const)(
    'a game that another tab has %s is told, and put back only if that is chosen',
    async (how, act) => {
      for (const isHeard of [true, false]) {
        const bench = await benchWith()
        await act()
        if (isHeard) {
          await hear()
          expect([bench.state, bench.clash]).toEqual(['clash', how])
        }
        bench.edit('rename', titled('Mine'))
        await bench.flush()
        expect([bench.state, bench.clash]).toEqual(['clash', how])
        expect(await oneGame(key)).toBeUndefined()
        await bench.takeTheirs()
        expect([bench.state, bench.clash, bench.game!.title]).toEqual(['clash', how, 'Mine'])
        await bench.keepMine()
        expect([bench.state, (await oneGame(key))!.game.title]).toEqual(['saved', 'Mine'])
      }
    },
  )
  test('of two games that are opened at once, the later one lies on the bench', async () => {
    const bench = await benchWith()
    await keepGame('other', { ...gameWith(), title: 'Other' }, (await oneGame('other'))?.rev ?? 0)
    const opened = await Promise.all([bench.open(key), bench.open('other')])
    expect(opened).toEqual([null, true])
    expect([bench.key, bench.game!.title]).toEqual(['other', 'Other'])
  })
  test('a game that is not there is told, and nothing is open then', async () => {
    const bench = await benchWith()
    expect(await bench.open('nowhere')).toBe(false)
    expect(bench.game).toBeNull()
  })
})
