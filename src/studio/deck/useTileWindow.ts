import { computed, onBeforeUnmount, onMounted, ref, type Ref } from 'vue'

/** The grid of tiles in px, as LightTable's style lays it. */
const EDGE = 18
const GAP = 10
const NARROWEST = 152
const TALL = 130
/** Up to so many tiles all are on the page; beyond, only those near what is seen. */
const ALL = 120
/** Rows kept ready above and below what is seen, and rows that come and go together. */
const SPARE = 1
const STEP = 2

/**
 * Which tiles of a long list are on the page: those that can be seen, and a few rows more. All have one size, so that the place of every tile is
 * known, seen or not. `ground` is the element that scrolls.
 */
export function useTileWindow(ground: Ref<HTMLElement | undefined>, count: Ref<number>) {
  const size = ref({ width: 900, height: 600 })
  const scrolled = ref(0)
  /** while something is dragged, what is on the page stays there */
  const frozen = ref<{ from: number; to: number } | null>(null)

  const perRow = computed(() =>
    Math.max(1, Math.floor((size.value.width - 2 * EDGE + GAP) / (NARROWEST + GAP))),
  )
  const wide = computed(() => (size.value.width - 2 * EDGE - (perRow.value - 1) * GAP) / perRow.value)
  const rows = computed(() => Math.ceil(count.value / perRow.value))
  // whole steps of rows, so that most of the scrolling changes nothing
  const step = STEP * (TALL + GAP)
  const first = computed(() => Math.max(0, Math.floor((scrolled.value - EDGE) / step) * STEP - SPARE))
  const last = computed(() => Math.ceil((scrolled.value + size.value.height) / step) * STEP + SPARE)
  const shown = computed(() => {
    if (frozen.value) return frozen.value
    if (count.value <= ALL) return { from: 0, to: count.value }
    return { from: first.value * perRow.value, to: Math.min(count.value, last.value * perRow.value) }
  })
  const padding = computed(() => {
    const above = Math.floor(shown.value.from / perRow.value)
    const below = rows.value - Math.ceil(shown.value.to / perRow.value)
    return { top: EDGE + above * (TALL + GAP), bottom: EDGE + Math.max(0, below) * (TALL + GAP) }
  })
  const height = computed(() => 2 * EDGE + rows.value * (TALL + GAP) - GAP)

  /** The upper left corner and size of a tile, on the whole table. */
  function placeOf(index: number): { x: number; y: number; width: number; height: number } {
    return {
      x: EDGE + (index % perRow.value) * (wide.value + GAP),
      y: EDGE + Math.floor(index / perRow.value) * (TALL + GAP),
      width: wide.value,
      height: TALL,
    }
  }
  /** Scrolls just so far that a tile is seen whole. */
  function reveal(index: number): void {
    const { y, height: tall } = placeOf(index)
    const element = ground.value
    if (!element || index < 0) return
    if (y < element.scrollTop) element.scrollTop = y - GAP
    else if (y + tall > element.scrollTop + element.clientHeight)
      element.scrollTop = y + tall + GAP - element.clientHeight
    scrolled.value = element.scrollTop
  }
  const freeze = (on: boolean): void => void (frozen.value = on ? { ...shown.value } : null)
  const follow = (): void => void (scrolled.value = ground.value?.scrollTop ?? 0)
  const watched = new ResizeObserver(() => {
    const { clientWidth, clientHeight } = ground.value!
    size.value = { width: clientWidth, height: clientHeight }
  })
  onMounted(() => watched.observe(ground.value!))
  onBeforeUnmount(() => watched.disconnect())

  return { perRow, shown, padding, height, placeOf, reveal, freeze, follow }
}
