import { computed, onBeforeUnmount, onMounted, ref, type Ref } from 'vue'

/** The grid of tiles in px, as LightTable's style lays it. */
const EDGE = 18
const GAP = 10
const NARROWEST = 152
const TALL = 130
/** from the top of a tile to the middle of its cards */
const CARDS_MIDDLE = 52

/** Where tiles lie on the light table: all have one size, so that it follows from their number. `ground` is the element that scrolls. */
export function useTileGrid(ground: Ref<HTMLElement | undefined>, count: Ref<number>) {
  const width = ref(900)
  const perRow = computed(() => Math.max(1, Math.floor((width.value - 2 * EDGE + GAP) / (NARROWEST + GAP))))
  const wide = computed(() => (width.value - 2 * EDGE - (perRow.value - 1) * GAP) / perRow.value)
  const height = computed(() => 2 * EDGE + Math.ceil(count.value / perRow.value) * (TALL + GAP) - GAP)

  /** The middle of a tile's two cards. */
  const middleOf = (index: number): { x: number; y: number } => ({
    x: EDGE + (index % perRow.value) * (wide.value + GAP) + wide.value / 2,
    y: EDGE + Math.floor(index / perRow.value) * (TALL + GAP) + CARDS_MIDDLE,
  })

  const watched = new ResizeObserver(() => (width.value = ground.value!.clientWidth))
  onMounted(() => watched.observe(ground.value!))
  onBeforeUnmount(() => watched.disconnect())

  return { perRow, height, middleOf }
}
