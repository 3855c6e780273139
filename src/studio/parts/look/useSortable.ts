import Sortable from 'sortablejs'
import { onBeforeUnmount, onMounted, type Ref } from 'vue'

/**
 * Lets the children of `list` be dragged into another order. `move` changes the document; the list then follows it, so
 * the dragged element is put back first. Out: switches dragging on and off.
 */
export function useSortable(
  list: Ref<HTMLElement | undefined>,
  move: (from: number, to: number) => void,
): (on: boolean) => void {
  let sortable: Sortable | null = null
  onMounted(() => {
    sortable = Sortable.create(list.value!, {
      animation: 180,
      delay: 120,
      delayOnTouchOnly: true,
      filter: 'input',
      preventOnFilter: false,
      onEnd({ oldIndex, newIndex, item, from }) {
        if (oldIndex === undefined || newIndex === undefined) return
        from.insertBefore(item, from.children[oldIndex + (oldIndex > newIndex ? 1 : 0)] ?? null)
        move(oldIndex, newIndex)
      },
    })
  })
  onBeforeUnmount(() => sortable?.destroy())
  return (on) => void sortable?.option('disabled', !on)
}
