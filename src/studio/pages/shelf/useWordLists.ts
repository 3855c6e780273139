import { computed, nextTick, ref, shallowRef } from 'vue'

/** Word lists waiting to become games, one after another; the current one is open. */
export function useWordLists() {
  const waiting = shallowRef<File[]>([])
  const list = shallowRef<File | null>(null)
  const open = ref(false)

  /** Opens the words dialog: empty, or with a list. A list that arrives while another is open waits. */
  function write(file: File | null): void {
    if (file && open.value) waiting.value = [...waiting.value, file]
    else {
      list.value = file
      open.value = true
    }
  }
  const writing = computed({
    get: () => open.value,
    set: (next) => {
      open.value = next
      const [file, ...rest] = waiting.value
      if (next || !file) return
      waiting.value = rest
      // the previous one is closed first
      void nextTick(() => write(file))
    },
  })
  /** The name of the open word list. */
  const title = (): string =>
    list.value?.name
      .replace(/\.[^.]*$/, '')
      .replace(/[_-]+/g, ' ')
      .trim() || 'New word game'
  return { waiting, list, writing, write, title }
}
