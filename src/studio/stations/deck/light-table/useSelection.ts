import { computed, ref, type Ref } from 'vue'

/** The selection in a list: one by a press, more with Ctrl, a run with Shift; `lead` is the one that keys move from. */
export function useSelection(ids: Ref<readonly string[]>) {
  const selectedIds = ref<ReadonlySet<string>>(new Set())
  const lead = ref<string | null>(null)
  let anchor: string | null = null

  /** the selected ones in list order; those no longer in the list are not selected */
  const inOrder = computed(() => ids.value.filter((id) => selectedIds.value.has(id)))

  function only(id: string | null): void {
    selectedIds.value = new Set(id === null ? [] : [id])
    lead.value = anchor = id
  }
  function these(next: Iterable<string>): void {
    selectedIds.value = new Set(next)
    lead.value = anchor = inOrder.value.at(-1) ?? null
  }
  function press(id: string, how: { shiftKey: boolean; ctrlKey: boolean; metaKey: boolean }): void {
    const from = anchor === null ? -1 : ids.value.indexOf(anchor)
    if (how.shiftKey && from >= 0) {
      const to = ids.value.indexOf(id)
      const run = ids.value.slice(Math.min(from, to), Math.max(from, to) + 1)
      selectedIds.value = new Set(how.ctrlKey || how.metaKey ? [...selectedIds.value, ...run] : run)
      lead.value = id
    } else if (how.ctrlKey || how.metaKey) {
      const next = new Set(selectedIds.value)
      if (!next.delete(id)) next.add(id)
      selectedIds.value = next
      lead.value = anchor = id
    } else only(id)
  }
  const all = (): void => these(ids.value)
  return { chosen: selectedIds, lead, inOrder, only, these, press, all }
}
