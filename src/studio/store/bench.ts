import { freeze, produce, type Draft } from 'immer'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import type { Game } from '../../core/game/game.ts'
import {
  findLevel,
  isOwn,
  type Level,
  resolveLevel,
  withoutOwn,
  writeSettings,
} from '../../core/settings/levels.ts'
import type { Section, Settings } from '../../core/settings/settings.ts'
import { anyGame, oneGame, stepsOf, type StoredGame } from './db.ts'
import { layDemos } from './demo-games.ts'
import { useHistory } from './history.ts'
import { useSaving } from './saving.ts'
import { checkImages } from './sound-images.ts'

/**
 * The game on the bench: the document, with its history and its saving. What is selected or open belongs to the views.
 */
export const useBench = defineStore('bench', () => {
  const key = ref('')
  const game = shallowRef<Game | null>(null)
  /** the open rung: a level's id, or null for the house rules */
  const rung = ref<string | null>(null)
  const history = useHistory(game)
  const saving = useSaving({ key, game, steps: history.toStore })
  watch(saving.theirs, (row) => row && takeOver(row), { flush: 'sync' })

  const level = computed<Level | undefined>(() => game.value?.levels.find(({ id }) => id === rung.value))
  const settings = computed<Settings | null>(() => game.value && resolveLevel(game.value, level.value))

  /** Games are frozen as a whole when they are opened: otherwise the first edit would do it, and block the page. */
  function show(next: Game): void {
    game.value = freeze(next, true)
  }

  /** what another tab changed was taken over: how often, and the name of the open level if it is gone by that */
  const takenOver = shallowRef<{ times: number; lost: string | null }>({ times: 0, lost: null })

  /** Takes over a stored version of the game; the one that was here is one undo away. */
  function takeOver({ game: other, rev }: StoredGame): void {
    const before = level.value
    history.remember(game.value!, 'take over the other tab', null)
    show(other)
    saving.begin(rev)
    const lost = before && !level.value ? before.name : null
    toLevelThere()
    takenOver.value = { times: takenOver.value.times + 1, lost }
  }
  /** After a clash: takes what the other tab saved, if it is still there. */
  async function takeTheirs(): Promise<void> {
    const row = await anyGame(key.value)
    if (!game.value) return
    if (row && !row.removed) takeOver(row)
    else saving.clashWith(row)
  }
  /** Where the open level is gone, the first one is open. */
  function toLevelThere(): void {
    if (rung.value !== null && !findLevel(game.value!, rung.value)) rung.value = game.value!.levels[0]!.id
  }

  let openings = 0
  /** Opens a stored game. Out: whether there is one under this key; null if another was asked for meanwhile. */
  async function open(gameKey: string): Promise<boolean | null> {
    const mine = ++openings
    await saving.flush()
    // a link to a demo game may be the first page that a browser opens here
    await layDemos()
    const row = await oneGame(gameKey)
    if (row) await checkImages(row.game)
    const steps = row ? await stepsOf(gameKey) : []
    if (mine !== openings) return null
    key.value = gameKey
    if (row) show(row.game)
    else game.value = null
    history.takeUp(steps)
    saving.begin(row?.rev ?? 0)
    return row !== undefined
  }

  /**
   * Changes the document. `label` names the edit for undo; edits with the same `about` in quick succession are one
   * step, one with null is always its own.
   */
  function edit(label: string, recipe: (draft: Draft<Game>) => void, about: string | null = null): void {
    if (game.value) replace(produce(game.value, recipe), label, about)
  }

  function replace(next: Game, label: string, about: string | null = null): void {
    const before = game.value
    if (!before || next === before) return
    history.remember(before, label, about)
    game.value = next
    saving.changed()
  }

  const undo = (): void => stepped(history.undo())
  const redo = (): void => stepped(history.redo())
  function stepped(isOther: boolean): void {
    if (!isOther) return
    toLevelThere()
    saving.changed()
  }

  /**
   * Sets keys of a section where they belong: on a level as its own, or in the house rules. `at`: the level's id, null
   * for the house rules; the open rung if it is left out. Quick changes of the same key are one undo step, except for
   * `single` ones.
   */
  function set<S extends Section>(
    section: S,
    patch: Partial<Settings[S]>,
    label = 'change a setting',
    step: 'joined' | 'single' = 'joined',
    at: string | null = level.value?.id ?? null,
  ): void {
    if (!game.value) return
    const about = `${at ?? ''}/${section}.${Object.keys(patch).join()}`
    const next = writeSettings(game.value, at, section, patch)
    replace(next, label, step === 'single' ? null : about)
  }

  /** Returns keys of the open level to the house rules. */
  function giveBack(section: Section, ...names: readonly string[]): void {
    if (level.value) replaceLevel(withoutOwn(level.value, section, ...names), 'follow the house rules again')
  }

  const owns = (section: Section, name: string): boolean =>
    level.value !== undefined && isOwn(level.value, section, name)

  function replaceLevel(next: Level, label: string, about: string | null = null): void {
    if (!game.value) return
    const levels = game.value.levels.map((one) => (one.id === next.id ? next : one))
    replace({ ...game.value, levels }, label, about)
  }

  const { past, future } = history
  const { state, clash, failure, isUnsaved, unsavedFor, flush, keepMine, retry } = saving
  return {
    key,
    game,
    rung,
    level,
    settings,
    past,
    future,
    state,
    clash,
    takenOver,
    failure,
    isUnsaved,
    unsavedFor,
    open,
    edit,
    replace,
    undo,
    redo,
    set,
    giveBack,
    owns,
    replaceLevel,
    flush,
    takeTheirs,
    keepMine,
    retry,
  }
})
