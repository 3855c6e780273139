import { useVirtualizer } from '@tanstack/vue-virtual'
import { computed, type ComputedRef, type Ref } from 'vue'

/** The layout of a long list: `size` px from one item to the next, the first one `lead` px from its edge. */
export type Lane = {
  count: () => number
  size: number
  lead?: number
  /** the lead covers the list as it scrolls */
  sticky?: boolean
  /** side by side, instead of one below the other */
  across?: boolean
}

/** How many items beyond the visible ones are in the page, at either end: Tab finds them. */
const AROUND = 5

/**
 * A list of many items of one size: only the visible ones, and a few around them, are in the page. Out: their places in
 * the list, from 0; the px that stand for those before and after; and `bring`, which scrolls one into view.
 */
export function useInSight(
  list: Ref<HTMLElement | undefined>,
  { count, size, lead = 0, sticky = false, across = false }: Lane,
): {
  places: ComputedRef<number[]>
  before: ComputedRef<number>
  after: ComputedRef<number>
  bring: (place: number) => void
} {
  const lane = useVirtualizer(
    computed(() => ({
      count: count(),
      getScrollElement: () => list.value ?? null,
      estimateSize: () => size,
      horizontal: across,
      overscan: AROUND,
    })),
  )
  const places = computed(() => lane.value.getVirtualItems().map(({ index }) => index))
  const before = computed(() => (places.value[0] ?? 0) * size)
  const after = computed(() => (places.value.length ? (count() - 1 - places.value.at(-1)!) * size : 0))

  /**
   * A hidden item is scrolled to the middle, so that the next ones need no scrolling. Reads nothing that would cause a
   * layout.
   */
  function bring(place: number): void {
    const { scrollOffset, scrollRect } = lane.value
    if (!list.value || !scrollRect || place < 0) return
    const room = across ? scrollRect.width : scrollRect.height
    const from = scrollOffset ?? 0
    const start = lead + place * size
    if (start >= from + (sticky ? lead : 0) && start + size <= from + room) return
    list.value.scrollTo({ [across ? 'left' : 'top']: start - (room - size) / 2 })
  }
  return { places, before, after, bring }
}
