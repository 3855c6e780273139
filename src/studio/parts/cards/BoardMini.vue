<script setup lang="ts">
import { computed } from 'vue'
import { boardPath } from './board-path.ts'

/** A level's board to scale, gaps left out. `cell` is the side of a card in px. */
const props = withDefaults(
  defineProps<{ board: { rows: number; columns: number; gaps: readonly string[] }; cell?: number }>(),
  { cell: 7 },
)
const side = computed(() => Math.min(props.cell, 64 / Math.max(props.board.rows, props.board.columns)))
const step = computed(() => side.value * 1.24)
/** All cards as one path: a ladder may show a hundred boards of four hundred. */
const cards = computed(() => boardPath(props.board, side.value, step.value))
</script>

<template>
  <svg
    class="mini"
    aria-hidden="true"
    :width="board.columns * step"
    :height="board.rows * step"
    :viewBox="`0 0 ${board.columns * step} ${board.rows * step}`"
  >
    <path :d="cards" />
  </svg>
</template>

<style scoped>
.mini {
  display: block;
  fill: currentColor;
}
</style>
