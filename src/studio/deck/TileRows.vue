<script setup lang="ts">
import { ref } from 'vue'
import { useTileDrag, type Place } from './useTileDrag.ts'

/** Some rows of tiles: a layer of its own, so that what is painted once is not painted again while it scrolls. */
const props = defineProps<{ perRow: number; fixed: boolean }>()
const emit = defineEmits<{ over: [place: Place]; end: [id: string | null] }>()
defineSlots<{ default(): unknown }>()

const rows = ref<HTMLElement>()
useTileDrag(
  rows,
  () => props.fixed,
  (place) => emit('over', place),
  (id) => emit('end', id),
)
</script>

<template>
  <div ref="rows" class="rows" role="presentation" :style="{ '--per-row': perRow }"><slot /></div>
</template>

<style scoped>
.rows {
  display: grid;
  grid-template-columns: repeat(var(--per-row), minmax(0, 1fr));
  grid-auto-rows: 130px;
  gap: 10px;
  contain: content;
  will-change: transform;
}
</style>
