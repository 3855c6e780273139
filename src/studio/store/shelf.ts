import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import type { Game } from '../../core/game/game.ts'
import { newId } from '../../core/settings/new-id.ts'
import { LENGTHS } from '../../core/settings/settings.ts'
import { allGames, dropGame, keepGame, onceEver, onOtherTab, putBack, sweepArt, type Kept } from './db.ts'

/** The games on the shelf, the last touched first. */
export const useShelf = defineStore('shelf', () => {
  const boxes = shallowRef<Kept[]>([])
  const ready = ref(false)

  async function load(): Promise<void> {
    await onceEver('demo games', demoGames)
    if (!ready.value) await sweepArt()
    const rows = await allGames()
    rows.sort((a, b) => b.touched - a.touched)
    boxes.value = rows
    ready.value = true
  }

  /** Puts a game on the shelf under a key of its own. Out: the key. */
  async function add(game: Game): Promise<string> {
    const rows = await allGames()
    const key = newId(
      game.id,
      rows.map((row) => row.key),
      'game',
    )
    await keepGame(key, game, 0)
    await load()
    return key
  }

  async function duplicate(box: Kept): Promise<string> {
    const rows = await allGames()
    const title = `${box.game.title.slice(0, LENGTHS.title - 5)} copy`
    const id = newId(
      title,
      rows.map((row) => row.game.id),
      'game',
    )
    return add({ ...box.game, id, title })
  }

  /** Removes a game. Out: a function that puts it back. */
  async function remove(box: Kept): Promise<() => Promise<void>> {
    const { key, game, rev, touched } = box
    await dropGame(key)
    await load()
    return async () => {
      await putBack({ key, game, rev, touched })
      await load()
    }
  }

  onOtherTab(() => void load())
  return { boxes, ready, load, add, duplicate, remove }
})

/** The games that every new shelf holds. */
async function demoGames(): Promise<Kept[]> {
  const files = await Promise.all([
    import('../../../demo/clockmakers-drawer.game.json'),
    import('../../../demo/signal-room.game.json'),
    import('../../../demo/tile-yard.game.json'),
  ])
  const now = Date.now()
  return files.map(({ default: file }, i) => {
    const { format: _format, version: _version, ...game } = file
    return { key: game.id, game: game as unknown as Game, rev: 1, touched: now - i }
  })
}
