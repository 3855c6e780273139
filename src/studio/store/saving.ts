import { computed, ref, shallowRef, type Ref, type ShallowRef } from 'vue'
import type { Game } from '../../core/game/game.ts'
import { SaveConflict, keepGame, oneGame, onOtherTab, type Kept, type KeptStep } from './db.ts'
import { nextTask } from './next-task.ts'

/**
 * How long edits are collected before they are saved, in ms, from the first unsaved one: constant editing does not
 * postpone it.
 */
const SAVE_AFTER = 40

/** Why the browser did not keep something, in words where they are known. */
const whyNot = (error: Error & { inner?: Error }): string =>
  [error.name, error.inner?.name].includes('QuotaExceededError')
    ? 'its storage is full'
    : error.message || error.name

/** What is saved: the game under its key, and the undo and redo steps of a game. */
type Document = {
  key: Ref<string>
  game: ShallowRef<Game | null>
  steps(now: Game): KeptStep[]
}

/** Saves the document on the bench in the browser, with its history. */
export function useSaving({ key, game, steps }: Document) {
  const state = ref<'saved' | 'saving' | 'failed' | 'clash'>('saved')
  const failure = ref('')
  /** whether there are edits that are not saved by themselves */
  const isUnsaved = computed(() => state.value === 'failed' || state.value === 'clash')
  /** what another tab saved while nothing was unsaved here */
  const theirs = shallowRef<Kept | null>(null)
  let rev = 0
  let dirty = false
  let timer = 0
  let saving: Promise<void> | null = null

  /** The document is what is stored at this rev. */
  function begin(at: number): void {
    rev = at
    dirty = false
    theirs.value = null
    state.value = 'saved'
  }

  /** The document was edited: it will be saved soon. */
  function changed(): void {
    dirty = true
    if (state.value === 'clash') return
    state.value = 'saving'
    timer ||= window.setTimeout(() => void flush(), SAVE_AFTER)
  }

  /** Saves what is not saved yet, now. */
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
      const history = steps(doc)
      await nextTask()
      rev = await keepGame(key.value, doc, rev, history)
      if (!dirty) state.value = 'saved'
    } catch (error) {
      dirty = true
      state.value = error instanceof SaveConflict ? 'clash' : 'failed'
      failure.value = whyNot(error as Error)
    }
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
      else theirs.value = row
    })
  })

  return { state, failure, isUnsaved, theirs, begin, changed, flush, keepMine, retry }
}
