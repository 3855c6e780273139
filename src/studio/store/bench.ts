import { freeze, produce, type Draft } from 'immer'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { Game } from '../../core/game/game.ts'
import {
  findLevel,
  isOwn,
  type Level,
  resolveLevel,
  withoutOwn,
  withOwn,
} from '../../core/settings/levels.ts'
import type { Section, Settings } from '../../core/settings/settings.ts'
import { Changed, keepGame, oneGame, onOtherTab } from './db.ts'
import { checkImages } from './sound-images.ts'

/** How long edits of the same thing count as one step to undo, in ms. */
const SAME_STEP = 1200
/** How long edits are gathered before they are saved, in ms, from the first that is not: hands that never rest do not put it off. */
const SAVE_AFTER = 120
const STEPS_KEPT = 200

type Step = { game: Game; label: string; about: string; at: number }

/** The game on the bench: the document, its history, and its keeping. What is selected or open lives with the views. */
export const useBench = defineStore('bench', () => {
  const key = ref('')
  const game = shallowRef<Game | null>(null)
  const past = shallowRef<Step[]>([])
  const future = shallowRef<Step[]>([])
  const state = ref<'saved' | 'saving' | 'failed' | 'clash'>('saved')
  const failure = ref('')
  /** the rung that is open: a level's id, or '' for the house rules */
  const rung = ref('')
  let rev = 0
  let dirty = false
  let timer = 0
  let saving: Promise<void> | null = null

  const level = computed<Level | undefined>(() => game.value?.levels.find(({ id }) => id === rung.value))
  const settings = computed<Settings | null>(() => game.value && resolveLevel(game.value, level.value))

  /** Opens a kept game. Out: whether there is one under this key. */
  async function open(wanted: string): Promise<boolean> {
    await flush()
    const row = await oneGame(wanted)
    if (row) await checkImages(row.game)
    key.value = wanted
    // now, as a whole: else the first edit would do it
    game.value = row ? freeze(row.game, true) : null
    rev = row?.rev ?? 0
    past.value = []
    future.value = []
    state.value = 'saved'
    dirty = false
    return row !== undefined
  }

  /**
   * Changes the document. `label` says what undo would undo; edits with the same `about` in quick succession are one step.
   */
  function edit(label: string, recipe: (draft: Draft<Game>) => void, about = ''): void {
    if (game.value) replace(produce(game.value, recipe), label, about)
  }

  function replace(next: Game, label: string, about = ''): void {
    const before = game.value
    if (!before || next === before) return
    const last = past.value.at(-1)
    const now = Date.now()
    if (about && last?.about === about && now - last.at < SAME_STEP && future.value.length === 0)
      last.at = now
    else past.value = [...past.value, { game: before, label, about, at: now }].slice(-STEPS_KEPT)
    future.value = []
    game.value = next
    changed()
  }

  function step(from: typeof past, to: typeof past): void {
    const last = from.value.at(-1)
    if (!last || !game.value) return
    from.value = from.value.slice(0, -1)
    to.value = [...to.value, { ...last, game: game.value, about: '' }]
    game.value = last.game
    if (rung.value && !findLevel(last.game, rung.value)) rung.value = last.game.levels[0]!.id
    changed()
  }
  const undo = (): void => step(past, future)
  const redo = (): void => step(future, past)

  /**
   * Sets keys of a section where they belong: on the open level as its own, or in the house rules. Quick changes of the
   * same key are one step to undo, but for `single` ones.
   */
  function set<S extends Section>(
    section: S,
    patch: Partial<Settings[S]>,
    label = 'change a setting',
    step: 'joined' | 'single' = 'joined',
  ): void {
    if (!game.value) return
    const about = step === 'single' ? '' : `${rung.value}/${section}.${Object.keys(patch).join()}`
    if (level.value) replaceLevel(withOwn(level.value, section, patch), label, about)
    else {
      const house = { ...game.value.house, [section]: { ...game.value.house[section], ...patch } }
      replace({ ...game.value, house }, label, about)
    }
  }

  /** Gives a key of the open level back to the house rules. */
  function giveBack<S extends Section>(section: S, name: keyof Settings[S]): void {
    if (level.value) replaceLevel(withoutOwn(level.value, section, name), 'follow the house rules again')
  }

  const owns = <S extends Section>(section: S, name: keyof Settings[S]): boolean =>
    level.value !== undefined && isOwn(level.value, section, name)

  function replaceLevel(next: Level, label: string, about = ''): void {
    if (!game.value) return
    const levels = game.value.levels.map((one) => (one.id === next.id ? next : one))
    replace({ ...game.value, levels }, label, about)
  }

  function changed(): void {
    dirty = true
    if (state.value === 'clash') return
    state.value = 'saving'
    timer ||= window.setTimeout(() => void flush(), SAVE_AFTER)
  }

  /** Keeps what is not kept yet, now. */
  async function flush(): Promise<void> {
    clearTimeout(timer)
    timer = 0
    if (saving) await saving
    if (!dirty || !game.value || state.value === 'clash') return
    dirty = false
    saving = save(game.value).finally(() => (saving = null))
    await saving
  }

  async function save(doc: Game): Promise<void> {
    try {
      rev = await keepGame(key.value, doc, rev)
      if (!dirty) state.value = 'saved'
    } catch (error) {
      dirty = true
      state.value = error instanceof Changed ? 'clash' : 'failed'
      failure.value = (error as Error).message || (error as Error).name
    }
  }

  /** After a clash: takes what the other tab saved; this tab's own stays one undo away. */
  async function takeTheirs(): Promise<void> {
    const row = await oneGame(key.value)
    if (!row || !game.value) return
    past.value = [...past.value, { game: game.value, label: 'take over the other tab', about: '', at: 0 }]
    future.value = []
    game.value = freeze(row.game, true)
    rev = row.rev
    dirty = false
    state.value = 'saved'
  }

  /** After a clash: saves this tab's document over the other's. */
  async function keepMine(): Promise<void> {
    rev = (await oneGame(key.value))?.rev ?? 0
    state.value = 'saving'
    dirty = true
    await flush()
  }

  async function retry(): Promise<void> {
    state.value = 'saving'
    await flush()
  }

  onOtherTab((other) => {
    if (other !== key.value || !game.value) return
    void oneGame(other).then((row) => {
      if (!row || row.rev === rev) return
      if (dirty || saving) state.value = 'clash'
      else void takeTheirs()
    })
  })

  return {
    key,
    game,
    rung,
    level,
    settings,
    past,
    future,
    state,
    failure,
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
