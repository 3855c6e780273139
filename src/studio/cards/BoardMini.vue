<script setup lang="ts">
import { computed } from 'vue'
import { openCells } from '../../core/deal/cells.ts'

/** A level's board to scale, gaps left out. `cell` is the side of a card in px. */
const props = withDefaults(
  defineProps<{ board: { rows: number; columns: number; gaps: readonly string[] }; cell?: number }>(),
  { cell: 7 },
)
const cards = computed(() => openCells({ ...props.board, gaps: props.board.gaps }))
const side = computed(() => Math.min(props.cell, 64 / Math.max(props.board.rows, props.board.columns)))
const step = computed(() => side.value * 1.24)
</script>

<template>
  <svg
    class="mini"
    aria-hidden="true"
    :width="board.columns * step"
    :height="board.rows * step"
    :viewBox="`0 0 ${board.columns * step} ${board.rows * step}`"
  >
    <rect
      v-for="at in cards"
      :key="at"
      :x="(at % board.columns) * step"
      :y="Math.floor(at / board.columns) * step"
      :width="side"
      :height="side"
      :rx="side * 0.22"
    />
  </svg>
</template>

<style scoped>
.mini {
  display: block;
  fill: currentColor;
}
</style>
