import { computed, nextTick, ref, shallowRef } from 'vue'

/** Lists of words that wait to be made games of, one after the other; the one that is written now is open. */
export function useWordLists() {
  const waiting = shallowRef<File[]>([])
  const list = shallowRef<File | null>(null)
  const open = ref(false)

  /** Opens the way in for words: empty, or with a list. A list that comes while another is open waits. */
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
      // the one before is closed first
      void nextTick(() => write(file))
    },
  })
  /** What the words of the list that is open are called. */
  const title = (): string =>
    list.value?.name
      .replace(/\.[^.]*$/, '')
      .replace(/[_-]+/g, ' ')
      .trim() || 'New word game'
  return { waiting, list, writing, write, title }
}
