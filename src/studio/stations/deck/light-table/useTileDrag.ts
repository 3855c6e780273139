import Sortable from 'sortablejs'
import { onBeforeUnmount, onMounted, watch, type Ref } from 'vue'

/** The place of a tile: before or after another, by the id of its pair. */
export type DropPlace = { beside: string; after: boolean }

const idOf = (tile: HTMLElement): string => tile.dataset.pair!

/**
 * Lets the tiles in `rows` be dragged, unless they are `fixed`, to a place between others, in these or other rows. No
 * tile moves on the way; `over` gets its new place, `end` the tile that was dropped, or null if the drag was cancelled.
 */
export function useTileDrag(
  rows: Ref<HTMLElement | undefined>,
  fixed: () => boolean,
  over: (place: DropPlace) => void,
  end: (id: string | null) => void,
): void {
  let sortable: Sortable | null = null
  onMounted(() => {
    sortable = Sortable.create(rows.value!, {
      disabled: fixed(),
      group: 'pairs',
      delay: 120,
      delayOnTouchOnly: true,
      onMove({ related, willInsertAfter }) {
        over({ beside: idOf(related), after: willInsertAfter ?? false })
        return false
      },
      onEnd(event) {
        const { originalEvent } = event as { originalEvent?: Event }
        end(originalEvent?.type === 'dragend' ? null : idOf(event.item))
      },
    })
  })
  watch(fixed, (now) => sortable?.option('disabled', now))
  onBeforeUnmount(() => sortable?.destroy())
}
