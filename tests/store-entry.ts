import { createPinia, setActivePinia } from 'pinia'
import { readBackup, writeBackup } from '../src/core/files/backup-file.ts'
import { newGame } from '../src/core/game/new-game.ts'
import { allGames, dropGame } from '../src/studio/store/db.ts'
import { useBench } from '../src/studio/store/bench.ts'
import { useShelf } from '../src/studio/store/shelf.ts'

/** The studio's store as a freshly opened page has it, for tests that work on it without the interface. */
export function openStore() {
  setActivePinia(createPinia())
  const shelf = useShelf()
  const bench = useBench()
  return {
    async rows(): Promise<Record<string, { title: string; binned: boolean }>> {
      const rows = await allGames()
      return Object.fromEntries(
        rows.map(({ key, game, removed }) => [key, { title: game.title, binned: removed !== undefined }]),
      )
    },
    async clear(): Promise<void> {
      for (const { key } of await allGames()) await dropGame(key)
    },
    make: async (title: string): Promise<string> => shelf.addNew(newGame(title, [])),
    /** Gives the game on the bench a title; without `flush` as if the page were left right after. */
    async edit(key: string, title: string): Promise<void> {
      if (!(await bench.open(key))) throw new Error(`${key} is not on the shelf`)
      bench.edit('rename', (game) => void (game.title = title))
      await bench.flush()
    },
    /** Undoes or redoes. Out: the title that the game then has. */
    async step(key: string, way: 'undo' | 'redo'): Promise<string> {
      if (!(await bench.open(key))) throw new Error(`${key} is not on the shelf`)
      bench[way]()
      await bench.flush()
      return bench.game!.title
    },
    async bin(key: string, isIn: boolean): Promise<void> {
      await shelf.load()
      const row = [...shelf.boxes, ...shelf.bin].find((one) => one.key === key)!
      await (isIn ? shelf.remove(row) : shelf.takeBack(row))
    },
    async backUp(): Promise<number[]> {
      const games = (await allGames()).map(({ key, touched, removed, game }) => ({
        key,
        touched,
        ...(removed ? { removed } : {}),
        game,
      }))
      return [...writeBackup(games, {}, new Date().toISOString())]
    },
    async restore(bytes: number[], how: 'add' | 'replace'): Promise<void> {
      const read = readBackup(new Uint8Array(bytes))
      if (!read.ok) throw new Error(read.problem.message)
      const games = read.value.games.map(({ key, touched, removed, game }) => {
        if (!game.ok) throw new Error(game.problem.message)
        return { key, touched, ...(removed ? { removed } : {}), game: game.value, how }
      })
      await shelf.restore(games)
    },
  }
}
