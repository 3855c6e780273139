<script setup lang="ts">
import { computed } from 'vue'
import type { Place } from '../../../core/board/geometry.ts'
import type { Back } from '../../../core/settings/back.ts'
import type { Face } from '../../../core/deck/pair.ts'
import BackView from '../../parts/cards/BackView.vue'
import FaceView from '../../parts/cards/FaceView.vue'
import SmallFace from '../../parts/cards/SmallFace.vue'
import type { Drag } from './useCardDrag.ts'

/** A cell of the board: its content and its name. */
export type SeenCell = { cell: number; name: string; gap: boolean; face: Face | null; words: string }

/**
 * The button on a cell, with its card. On a large board, whose cards are on one canvas, it is empty except while its
 * card is dragged. `place` in px of the frame, drawn at `scale`; `drag`: the drag that takes this card along.
 */
const props = defineProps<{
  seen: SeenCell
  place: Place
  scale: number
  back: Back
  faces: boolean
  small: boolean
  dim: boolean
  tabbable: boolean
  under: boolean
  drag: Drag | null
}>()
const box = computed(() => {
  const px = (length: number): string => `${length * props.scale}px`
  const { x, y, width, height } = props.place
  return { left: px(x), top: px(y), width: px(width), height: px(height) }
})
const lift = computed(() =>
  props.drag ? { transform: `translate(${props.drag.x}px, ${props.drag.y}px) scale(1.04)` } : {},
)
const todo = computed(() => {
  const { name, words, gap, face } = props.seen
  return `${name}: ${words}. Press to ${gap ? 'fill it' : 'make it a gap'}${face ? '; drag to swap' : ''}.`
})
</script>

<template>
  <button
    class="cell"
    :class="{ gap: seen.gap, small, clear: small && !drag, dragged: drag, under, dim }"
    type="button"
    :data-at="seen.cell"
    :tabindex="tabbable ? 0 : -1"
    :aria-label="`${seen.name}, ${seen.words}`"
    :data-tip="todo"
    :style="[box, lift]"
  >
    <SmallFace v-if="small && drag && seen.face" :face="seen.face" />
    <template v-else-if="!small && !seen.gap">
      <FaceView v-if="seen.face && faces" :face="seen.face" :ratio="place.width / place.height" />
      <BackView v-else :back="back" />
    </template>
  </button>
</template>

<style scoped>
.cell {
  position: absolute;
  display: grid;
  place-items: center;
  padding: 0;
  border: 0;
  border-radius: 9px;
  background: var(--card);
  box-shadow:
    0 1px 1px #0003,
    0 4px 9px #0a0a2438;
  cursor: pointer;
  touch-action: none;
}
.cell.small {
  border-radius: 4px;
}
.cell.clear {
  background: none;
  box-shadow: none;
}
.cell:hover {
  box-shadow:
    0 0 0 2px #fff,
    0 6px 14px #0a0a2460;
}
.cell.dim :deep(.lt-face img),
.cell.dim :deep(.lt-text) {
  opacity: 0.42;
}
.cell.gap {
  border: 1.5px dashed #ffffff40;
  background: none;
  box-shadow: none;
}
.cell.gap.small {
  border: 0;
}
.cell.gap:hover {
  background: #ffffff17;
}
.cell.dragged {
  z-index: 5;
  box-shadow:
    0 0 0 3px var(--apricot),
    0 12px 24px #0a0a2480;
  cursor: grabbing;
  pointer-events: none;
}
.cell.under {
  box-shadow: 0 0 0 4px #5cc4bd;
}
.cell:focus-visible {
  outline: 3px solid #fff;
}
</style>
