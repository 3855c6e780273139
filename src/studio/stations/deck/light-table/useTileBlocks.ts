import { computed, onBeforeUnmount, shallowRef, watch, type Ref } from 'vue'
import type { Pair } from '../../../../core/deck/pair.ts'
import { slicesOf } from '../../../store/same.ts'

/**
 * Rows of tiles in a block: each block is painted by itself, so that scrolling paints only what comes near and not the
 * whole table.
 */
export const ROWS = 4
type Block = readonly Pair[]

/**
 * The tiles in blocks of some rows, and which blocks are filled. When the pairs change, the blocks for which `isNear`
 * holds change at once and the others one after another, a frame each: a thousand tiles at once would block the page.
 */
export function useTileBlocks(
  pairs: () => readonly Pair[],
  perRow: Ref<number>,
  isNear: (block: number) => boolean,
) {
  const blocks = computed<Block[]>((before) =>
    perRow.value ? slicesOf(pairs(), perRow.value * ROWS, before) : [],
  )
  const tileBlocks = shallowRef<Block[]>([])
  let frame = 0

  function layNext(): void {
    frame = 0
    const next = blocks.value.findIndex((block, i) => block !== tileBlocks.value[i])
    if (next < 0) return
    tileBlocks.value = tileBlocks.value.with(next, blocks.value[next]!)
    frame = requestAnimationFrame(layNext)
  }
  watch(
    blocks,
    (now) => {
      tileBlocks.value = now.map((block, i) => (isNear(i) ? block : (tileBlocks.value[i] ?? [])))
      frame ||= requestAnimationFrame(layNext)
    },
    { immediate: true },
  )
  onBeforeUnmount(() => cancelAnimationFrame(frame))

  return { blocks, laid: tileBlocks }
}
