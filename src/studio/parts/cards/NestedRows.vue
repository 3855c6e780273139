<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { Pair } from '../../../core/deck/pair.ts'
import FaceView from './FaceView.vue'

/**
 * The first pairs of the deck that levels draw from, as growing rows of faces. `open`: the open level. A slot beside
 * each row may hold its number.
 */
const props = defineProps<{
  pairs: readonly Pair[]
  rows: readonly { id: string; name: string; first: number }[]
  open?: string | null
}>()
const box = ref<HTMLElement>()
const { width } = useElementSize(box, { width: 700, height: 0 })
/** px: a face with the gap after it, and the space in front of a row */
const FACE = 30
const HEAD = 190
/** the most faces in a row; the rest is shown as a number */
const most = computed(() => Math.max(4, Math.floor((width.value - HEAD) / FACE) - 1))
</script>

<template>
  <ol ref="box" class="nested" aria-label="The first pairs of each level">
    <li v-for="row in rows" :key="row.id" :class="{ open: row.id === open }">
      <strong>{{ row.name }}</strong>
      <span class="number"
        ><slot :row="row">{{ row.first }}</slot></span
      >
      <span class="faces" aria-hidden="true">
        <span v-for="pair in props.pairs.slice(0, Math.min(row.first, most))" :key="pair.id" class="one">
          <FaceView :face="pair.a" :ratio="1" />
        </span>
        <span v-if="row.first > most" class="more">+{{ row.first - most }}</span>
      </span>
    </li>
  </ol>
</template>

<style scoped>
.nested {
  display: grid;
  gap: 2px;
  margin: 8px 0 0;
  padding: 6px;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 118px 52px minmax(0, 1fr);
  align-items: center;
  min-height: 34px;
  padding: 2px 6px;
  border-radius: var(--round);
}
li.open {
  background: var(--lagoon-pale);
}
strong {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.number {
  padding-right: 12px;
  text-align: right;
}
.faces {
  display: flex;
  gap: 4px;
}
.one {
  flex: none;
  width: 26px;
  height: 26px;
  border-radius: 6px;
  background: var(--card);
  box-shadow: 0 0 0 1px var(--line);
}
.more {
  align-self: center;
  font-size: 13px;
}
</style>
