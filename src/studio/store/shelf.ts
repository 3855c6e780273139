import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { Game } from '../../core/game/game.ts'
import { fileStem, freeTitle } from '../../core/game/names.ts'
import { newId } from '../../core/settings/new-id.ts'
import { LENGTHS } from '../../core/settings/bounds.ts'
import {
  allGames,
  dropGame,
  keepGame,
  layGames,
  onOtherTab,
  setRemoved,
  sweepArt,
  type StoredGame,
  type RestoredGame,
} from './db.ts'
import { demoGames, layDemos } from './demo-games.ts'

/** How long a removed game stays in the bin, in days. */
export const DAYS_IN_BIN = 30
const DAY = 24 * 60 * 60 * 1000

/** Whether a game that was removed at this time, in ms since 1970, has been in the bin for too long. */
export const isTooOld = (removed: number): boolean => removed < Date.now() - DAYS_IN_BIN * DAY

/** The games on the shelf, the last edited first, and those in the bin, the last removed first. */
export const useShelf = defineStore('shelf', () => {
  const rows = shallowRef<StoredGame[]>([])
  const ready = ref(false)
  const boxes = computed(() =>
    rows.value.filter(({ removed }) => !removed).sort((a, b) => b.touched - a.touched),
  )
  const bin = computed(() =>
    rows.value.filter(({ removed }) => removed).sort((a, b) => b.removed! - a.removed!),
  )

  async function load(): Promise<void> {
    await layDemos()
    const all = await allGames()
    const old = all.filter(({ removed }) => removed && isTooOld(removed))
    for (const { key } of old) await dropGame(key)
    if (!ready.value) await sweepArt()
    rows.value = all.filter((row) => !old.includes(row))
    ready.value = true
  }

  /** A key that no game of this browser has, as close as possible to the wanted one. */
  const freeKey = async (key: string): Promise<string> =>
    newId(
      key,
      (await allGames()).map((row) => row.key),
      'game',
    )

  /** Puts a game on the shelf under a new key. Out: the key. */
  async function add(game: Game): Promise<string> {
    const key = await freeKey(game.id)
    await keepGame(key, game, 0)
    await load()
    return key
  }

  /** Puts a new game on the shelf, under a title of its own. Out: its key. */
  async function addNew(game: Game): Promise<string> {
    const title = freeTitle(
      game.title,
      (await allGames()).map((row) => row.game.title),
    )
    return add({ ...game, title, id: fileStem({ ...game, title }) })
  }

  async function duplicate(box: StoredGame): Promise<string> {
    const title = `${box.game.title.slice(0, LENGTHS.title - 5)} copy`
    const id = newId(
      title,
      (await allGames()).map((row) => row.game.id),
      'game',
    )
    return add({ ...box.game, id, title })
  }

  /** Puts a game into the bin. */
  async function remove({ key }: StoredGame): Promise<void> {
    await setRemoved(key, Date.now())
    await load()
  }
  /** Takes a game out of the bin. */
  async function takeBack({ key }: StoredGame): Promise<void> {
    await setRemoved(key, null)
    await load()
  }
  /** Deletes games in the bin for good. */
  async function forget(all: readonly StoredGame[]): Promise<void> {
    for (const { key } of all) await dropGame(key)
    await load()
  }

  /** Puts back the demo games that are not on the shelf. Out: how many there were. */
  async function putDemosBack(): Promise<number> {
    const all = await allGames()
    let put = 0
    for (const demo of await demoGames()) {
      const there = all.find(({ key }) => key === demo.key)
      if (there && !there.removed) continue
      if (there) await setRemoved(demo.key, null)
      else await layGames([{ ...demo, how: 'add' }])
      put++
    }
    await load()
    return put
  }

  /**
   * Lays games of a backup on the shelf, all of them or none. One that was in the bin for too long comes back to the
   * shelf, since it would be gone at once. In: as `layGames`.
   */
  async function restore(
    games: readonly RestoredGame[],
    progress?: (share: number) => void,
    signal?: AbortSignal,
  ): Promise<void> {
    const lasting = games.map(({ removed, ...game }) => ({
      ...game,
      ...(removed && !isTooOld(removed) ? { removed } : {}),
    }))
    try {
      await layGames(lasting, progress, signal)
    } finally {
      await load()
    }
  }

  onOtherTab(() => void load())
  return { boxes, bin, ready, load, add, addNew, duplicate, remove, takeBack, forget, putDemosBack, restore }
})
