import { computed, ref, type Ref, type ShallowRef } from 'vue'
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

/**
 * Saves the document on the bench in the browser, with its history. `theirs` takes over what another tab has saved;
 * `steps` gives the undo and redo steps of a game.
 */
export function useSaving(
  key: Ref<string>,
  game: ShallowRef<Game | null>,
  theirs: (row: Kept) => void,
  steps: (now: Game) => KeptStep[],
) {
  const state = ref<'saved' | 'saving' | 'failed' | 'clash'>('saved')
  const failure = ref('')
  /** whether there are edits that are not saved by themselves */
  const isUnsaved = computed(() => state.value === 'failed' || state.value === 'clash')
  let rev = 0
  let dirty = false
  let timer = 0
  let saving: Promise<void> | null = null

  /** The document is what is stored at this rev. */
  function begin(at: number): void {
    rev = at
    dirty = false
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

  /** After a clash: takes what the other tab saved; this tab's own version is one undo away. */
  async function takeTheirs(): Promise<void> {
    const row = await oneGame(key.value)
    if (!row || !game.value) return
    theirs(row)
    begin(row.rev)
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

  return { state, failure, isUnsaved, begin, changed, flush, takeTheirs, keepMine, retry }
}
