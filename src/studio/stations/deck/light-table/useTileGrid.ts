import { useEventListener, useResizeObserver } from '@vueuse/core'
import { computed, onMounted, ref, type Ref } from 'vue'

/** The grid of tiles in px, as the styles of LightTable and TileRows lay it. */
const EDGE = 18
const GAP = 10
const NARROWEST = 152
const TALL = 130
/** from the top of a tile to the middle of its cards */
const CARDS_MIDDLE = 52
/** the width of the line that marks the new place of a tile */
const LINE = 4

/**
 * The positions of tiles on the light table: all have one size, so they follow from their number. `ground` is the
 * element that scrolls.
 */
export function useTileGrid(ground: Ref<HTMLElement | undefined>, count: Ref<number>) {
  const width = ref(0)
  /** none before the table is measured, so that no tile is laid out twice */
  const perRow = computed(
    () => width.value && Math.max(1, Math.floor((width.value - 2 * EDGE + GAP) / (NARROWEST + GAP))),
  )
  const wide = computed(() => (width.value - 2 * EDGE - (perRow.value - 1) * GAP) / perRow.value)
  const height = computed(() => 2 * EDGE + Math.ceil(count.value / perRow.value) * (TALL + GAP) - GAP)

  /** The middle of a tile's two cards. */
  const middleOf = (index: number): { x: number; y: number } => ({
    x: EDGE + (index % perRow.value) * (wide.value + GAP) + wide.value / 2,
    y: EDGE + Math.floor(index / perRow.value) * (TALL + GAP) + CARDS_MIDDLE,
  })

  /** The line before or after a tile, in the middle of the gap. */
  const lineAt = (index: number, after: boolean): { left: string; top: string; height: string } => ({
    left: `${EDGE + (index % perRow.value) * (wide.value + GAP) + (after ? wide.value + GAP / 2 : -GAP / 2) - LINE / 2}px`,
    top: `${EDGE + Math.floor(index / perRow.value) * (TALL + GAP)}px`,
    height: `${TALL}px`,
  })

  /** What is scrolled into view, in px. It is kept, since a browser that is asked for it lays the page out first. */
  const view = { top: 0, height: 0 }
  /** Whether any of this many rows is in view. */
  function isInView(row: number, rows: number): boolean {
    const top = EDGE + row * (TALL + GAP)
    return top + rows * (TALL + GAP) - GAP >= view.top && top <= view.top + view.height
  }

  function measure(): void {
    const { clientWidth, clientHeight } = ground.value!
    width.value = clientWidth
    view.height = clientHeight
  }
  onMounted(measure)
  useResizeObserver(ground, measure)
  useEventListener(ground, 'scroll', () => (view.top = ground.value!.scrollTop), { passive: true })

  return { perRow, height, middleOf, lineAt, isInView }
}
