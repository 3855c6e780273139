import { useResizeObserver } from '@vueuse/core'
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

/** The positions of tiles on the light table: all have one size, so they follow from their number. `ground` is the element that scrolls. */
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

  /** Where this many rows start and end on the table. */
  const blockPlace = (row: number, rows: number): { top: number; bottom: number } => ({
    top: EDGE + row * (TALL + GAP),
    bottom: EDGE + (row + rows) * (TALL + GAP) - GAP,
  })

  const measure = (): unknown => (width.value = ground.value!.clientWidth)
  onMounted(measure)
  useResizeObserver(ground, measure)

  return { perRow, height, middleOf, lineAt, blockPlace }
}
