import { computed, ref, shallowRef, type Ref, type ShallowRef } from 'vue'
import type { Game } from '../../core/game/game.ts'
import { anyGame, SaveConflict, keepGame, onOtherTab, type StoredGame, type KeptStep } from './db.ts'
import { nextTask } from './next-task.ts'

/**
 * How long edits are collected before they are saved, in ms, from the first unsaved one: constant editing does not
 * postpone it.
 */
const SAVE_AFTER = 40

/** Why the browser did not keep something, in words where they are known. */
export const whyNotKept = (error: Error & { inner?: Error }): string =>
  [error.name, error.inner?.name].includes('QuotaExceededError')
    ? 'its storage is full'
    : error.message || error.name

/** What is saved: the game under its key, and the undo and redo steps of a game. */
type Document = {
  key: Ref<string>
  game: ShallowRef<Game | null>
  steps(now: Game): KeptStep[]
}

/** What another tab did to the game while something was unsaved here, or what cannot be taken over unasked. */
export type Clash = 'changed' | 'binned' | 'deleted'
const clashOf = (row: StoredGame | undefined): Clash =>
  !row ? 'deleted' : row.removed ? 'binned' : 'changed'

/** The field that somebody types in and that has not taken over its text yet. */
let halfTyped: EventTarget | null = null
const isHalfTyped = (): boolean => halfTyped !== null && halfTyped === globalThis.document?.activeElement
globalThis.document?.addEventListener('input', ({ target }) => (halfTyped = target), true)
globalThis.document?.addEventListener('change', () => (halfTyped = null), true)

/** Saves the document on the bench in the browser, with its history. */
export function useSaving({ key, game, steps }: Document) {
  const state = ref<'saved' | 'saving' | 'failed' | 'clash'>('saved')
  const failure = ref('')
  /** what another tab did, in a clash */
  const clash = ref<Clash>('changed')
  /** whether there are edits that are not saved by themselves */
  const isUnsaved = computed(() => state.value === 'failed' || (state.value === 'clash' && dirty.value))
  /** what another tab saved while nothing was unsaved here */
  const theirs = shallowRef<StoredGame | null>(null)
  let rev = 0
  const dirty = ref(false)
  let timer = 0
  /** when the oldest edit was made that no save has taken yet, and of those that are being saved; 0 for none */
  let waitsSince = 0
  let savesSince = 0
  let saving: Promise<void> | null = null

  /** The document is what is stored at this rev. */
  function begin(at: number): void {
    rev = at
    dirty.value = false
    waitsSince = 0
    theirs.value = null
    state.value = 'saved'
  }

  /** The document was edited: it will be saved soon. */
  function noteChange(): void {
    dirty.value = true
    waitsSince ||= performance.now()
    if (state.value === 'clash') return
    state.value = 'saving'
    timer ||= window.setTimeout(() => void flush(), SAVE_AFTER)
  }

  /** Saves what is not saved yet, now. */
  async function flush(): Promise<void> {
    clearTimeout(timer)
    timer = 0
    if (saving) await saving
    if (!dirty.value || !game.value || state.value === 'clash') return
    dirty.value = false
    savesSince = waitsSince
    waitsSince = 0
    saving = save(game.value).finally(() => {
      saving = null
      savesSince = 0
    })
    await saving
  }

  /** How old the oldest edit is that is being saved or is about to be, in ms. */
  function unsavedFor(): number {
    const since = savesSince || waitsSince
    return since && state.value === 'saving' ? performance.now() - since : 0
  }

  async function save(doc: Game): Promise<void> {
    try {
      const history = steps(doc)
      await nextTask()
      rev = await keepGame(key.value, doc, rev, history)
      if (!dirty.value) state.value = 'saved'
    } catch (error) {
      dirty.value = true
      failure.value = whyNotKept(error as Error)
      if (error instanceof SaveConflict) clashWith(await anyGame(key.value))
      else state.value = 'failed'
    }
  }

  /** Nothing is saved until its user has chosen. In: what is stored now. */
  function clashWith(row: StoredGame | undefined): void {
    clash.value = clashOf(row)
    state.value = 'clash'
  }

  /** After a clash: saves this tab's document over the other's, or puts it back where the other took it away. */
  async function keepMine(): Promise<void> {
    rev = (await anyGame(key.value))?.rev ?? 0
    state.value = 'saving'
    dirty.value = true
    await flush()
  }

  async function retry(): Promise<void> {
    state.value = 'saving'
    await flush()
  }

  onOtherTab((other) => {
    if (other !== key.value || !game.value) return
    void anyGame(other).then((row) => {
      if (other !== key.value || !game.value || row?.rev === rev) return
      if (row && !row.removed && !dirty.value && !saving && !isHalfTyped()) theirs.value = row
      else clashWith(row)
    })
  })

  return {
    state,
    clash,
    failure,
    isUnsaved,
    theirs,
    begin,
    changed: noteChange,
    unsavedFor,
    flush,
    clashWith,
    keepMine,
    retry,
  }
}
