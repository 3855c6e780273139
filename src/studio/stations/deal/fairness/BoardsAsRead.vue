<script setup lang="ts">
import { computed } from 'vue'
import type { BoardFormat, ReadBoards } from '../../../../core/files/boards-file.ts'
import { pairOf } from '../../../../core/deck/card.ts'
import { BOUNDS } from '../../../../core/settings/bounds.ts'
import NumberWord from '../../../parts/settings/NumberWord.vue'

/**
 * How boards of another program were read: the first of them, their size, which can be corrected, and what was left
 * out.
 */
const props = defineProps<{
  read: ReadBoards
  count: number
  /** the file they came from, or empty */
  source: string
  given: { rows: number; columns: number } | null
}>()
const emit = defineEmits<{ resize: [side: 'rows' | 'columns', value: number] }>()

const FORMATS: Record<BoardFormat, string> = {
  'json-lines': 'JSON lines, a board each',
  csv: 'CSV, one board per row',
  tokens: 'one board per line, names separated by spaces',
}
const first = computed(() => {
  const { columns } = props.read.board
  const cells = props.read.boards[0]!
  return Array.from({ length: cells.length / columns }, (_, row) =>
    cells
      .slice(row * columns, (row + 1) * columns)
      .map((card) => (card < 0 ? '' : props.read.names[pairOf(card)]!)),
  )
})
</script>

<template>
  <div class="as-read">
    <table aria-label="The first board, as it was read">
      <tbody>
        <tr v-for="(row, i) in first" :key="i">
          <td v-for="(name, j) in row" :key="j" :class="{ gap: !name }">{{ name }}</td>
        </tr>
      </tbody>
    </table>
    <div class="how">
      <p>
        <strong>{{ count.toLocaleString('en') }} boards</strong>{{ source && ` from ${source}` }}, read as
        {{ FORMATS[read.format] }}; {{ read.names.length }} {{ read.twinsKnown ? 'pairs' : 'cards' }}.
      </p>
      <p v-if="given">
        {{ read.guessed ? 'Each is taken to have' : 'Each has' }}
        <NumberWord
          :model-value="given.rows"
          label="Rows"
          :bounds="[1, BOUNDS.cards[1]]"
          @update:model-value="emit('resize', 'rows', $event)"
        />
        ×
        <NumberWord
          :model-value="given.columns"
          label="Columns"
          :bounds="[1, BOUNDS.cards[1]]"
          @update:model-value="emit('resize', 'columns', $event)"
        />
        cells, row by row.
      </p>
      <p v-if="!read.twinsKnown" class="soft">
        Every card has a name of its own, so it cannot be told which are twins; only places are judged.
      </p>
      <details v-if="read.leftOut" class="left-out" open>
        <summary>{{ read.leftOut.toLocaleString('en') }} left out</summary>
        <ul>
          <li v-for="line in read.problems.slice(0, 5)" :key="line">{{ line }}</li>
          <li v-if="read.leftOut > 5">and {{ read.leftOut - 5 }} more</li>
        </ul>
      </details>
    </div>
  </div>
</template>

<style scoped>
.as-read {
  display: flex;
  gap: 22px;
  align-items: flex-start;
  margin-bottom: 18px;
}
table {
  border-spacing: 3px;
}
td {
  min-width: 30px;
  max-width: 84px;
  height: 30px;
  padding: 0 6px;
  overflow: hidden;
  border-radius: 5px;
  background: #fff;
  box-shadow: 0 0 0 1px var(--line);
  font-size: 13px;
  text-align: center;
  text-overflow: ellipsis;
  white-space: nowrap;
}
td.gap {
  background: none;
  box-shadow: none;
}
.how {
  display: grid;
  gap: 8px;
}
.left-out {
  color: #7c3214;
  font-size: 14px;
}
.left-out ul {
  margin: 4px 0 0;
  padding-left: 20px;
}
</style>
