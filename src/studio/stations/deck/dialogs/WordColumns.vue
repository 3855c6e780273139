<script setup lang="ts">
import type { Column, ColumnPart } from '../../../../core/files/words-file.ts'
import ChoiceWord from '../../../parts/settings/ChoiceWord.vue'

/** The columns of a list with their first rows, and the use of each. */
defineProps<{ columns: readonly Column[] }>()
const emit = defineEmits<{ part: [column: number, part: ColumnPart] }>()
const PARTS: [ColumnPart, string][] = [
  ['a', 'one face'],
  ['b', 'the other face'],
  ['name', 'the name'],
  ['tags', 'tags'],
  ['aloud-a', 'one face read aloud'],
  ['aloud-b', 'the other face read aloud'],
  ['nothing', 'nothing'],
]
</script>

<template>
  <div class="columns" role="group" aria-label="Columns" tabindex="-1">
    <div v-for="(column, i) in columns" :key="i" class="column" :class="{ off: column.part === 'nothing' }">
      <p class="part">
        <ChoiceWord
          :model-value="column.part"
          :label="`Column ${i + 1}${column.head ? `, ${column.head.slice(0, 40)}` : ''}`"
          :choices="PARTS"
          @update:model-value="emit('part', i, $event)"
        />
      </p>
      <p class="head">{{ column.head || `column ${i + 1}` }}</p>
      <p v-for="(cell, row) in column.cells" :key="row" class="cell">{{ cell || '–' }}</p>
    </div>
  </div>
</template>

<style scoped>
.columns {
  display: flex;
  gap: 6px;
  margin: 10px 0 0;
  overflow-x: auto;
}
.column {
  flex: 1 0 132px;
  max-width: 260px;
  padding: 6px 10px;
  border-radius: var(--round-card);
  background: var(--paper);
}
.off > :not(.part) {
  color: var(--ink-soft);
  font-weight: 400;
}
.column p {
  margin: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.head {
  font-weight: 700;
}
.cell {
  font-size: 14px;
}
</style>
