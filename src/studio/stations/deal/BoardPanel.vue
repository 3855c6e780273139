<script setup lang="ts">
import { ElButton } from 'element-plus'
import { computed } from 'vue'
import { cellIndex } from '../../../core/board/cells.ts'
import { OUTLINES, outlineGaps, type Outline } from '../../../core/board/outlines.ts'
import { BOUNDS } from '../../../core/settings/bounds.ts'
import { type Settings } from '../../../core/settings/settings.ts'
import BoardMini from '../../parts/cards/BoardMini.vue'
import NumberWord from '../../parts/settings/NumberWord.vue'
import OwnTab from '../../parts/settings/OwnTab.vue'
import { useBench } from '../../store/bench.ts'

const props = defineProps<{ settings: Settings }>()
const bench = useBench()
const board = computed(() => props.settings.board)

/** A smaller board loses the gaps that are no longer on it. */
function resize(patch: { rows?: number; columns?: number }): void {
  const { rows, columns, gaps } = { ...board.value, ...patch }
  const remaining = gaps.filter((name) => cellIndex(name, rows, columns) >= 0)
  bench.set(
    'board',
    remaining.length < gaps.length ? { ...patch, gaps: remaining } : patch,
    'change the board',
  )
}
const OUTLINE_NAMES: Record<Outline, string> = {
  full: 'Full board',
  ring: 'Ring',
  diamond: 'Diamond',
  stair: 'Stair',
  islands: 'Two islands',
}
const same = (one: readonly string[], other: readonly string[]): boolean =>
  one.length === other.length && [...one].sort().join() === [...other].sort().join()
/** the outline that this board's gaps make, if it is one of ours */
const current = computed(() =>
  OUTLINES.find((outline) =>
    same(board.value.gaps, outlineGaps(outline, board.value.rows, board.value.columns)),
  ),
)
function shape(outline: Outline): void {
  const { rows, columns } = board.value
  bench.set('board', { gaps: outlineGaps(outline, rows, columns) }, 'change the outline')
}
const fill = (name: string): void =>
  bench.set('board', { gaps: board.value.gaps.filter((gap) => gap !== name) }, `fill ${name}`)
</script>

<template>
  <section aria-labelledby="board-title">
    <h3 id="board-title">Board</h3>
    <div class="row">
      <span>Rows and columns</span>
      <span>
        <NumberWord
          :model-value="board.rows"
          label="Rows"
          :bounds="BOUNDS.side"
          @update:model-value="(rows) => resize({ rows })"
        />
        ×
        <NumberWord
          :model-value="board.columns"
          label="Columns"
          :bounds="BOUNDS.side"
          @update:model-value="(columns) => resize({ columns })"
        />
        <OwnTab section="board" :names="['rows', 'columns']" />
      </span>
    </div>
    <div class="row">
      <span>Gaps</span>
      <span class="gaps">
        <ElButton
          v-for="name in board.gaps"
          :key="name"
          class="gap"
          :aria-label="`Fill the gap ${name}`"
          :data-tip="`Fill ${name}`"
          @click="fill(name)"
        >
          {{ name }}
        </ElButton>
        <span v-if="!board.gaps.length">none</span>
        <OwnTab section="board" :names="['gaps']" />
      </span>
    </div>
    <div class="row">
      <span id="outline-label">Outline</span>
      <span class="outlines" role="group" aria-labelledby="outline-label">
        <ElButton
          v-for="outline in OUTLINES"
          :key="outline"
          class="outline"
          :aria-pressed="outline === current"
          :aria-label="OUTLINE_NAMES[outline]"
          :data-tip="OUTLINE_NAMES[outline]"
          @click="shape(outline)"
        >
          <BoardMini
            :board="{
              rows: 5,
              columns: 5,
              gaps: outlineGaps(outline, 5, 5).filter(() => outline !== 'full'),
            }"
            :cell="3.4"
          />
        </ElButton>
      </span>
    </div>
  </section>
</template>

<style scoped src="./panel.css"></style>
<style scoped>
.outlines {
  display: flex;
  gap: 6px;
}
.outline {
  display: grid;
  place-items: center;
  width: 32px;
  height: 30px;
  padding: 0;
  border: 1px solid var(--line);
  border-radius: var(--round);
  background: var(--card);
  color: var(--ink-soft);
  cursor: pointer;
}
.outline:hover {
  background: #fff;
}
.outline[aria-pressed='true'] {
  border-color: var(--lagoon);
  background: var(--lagoon-pale);
  color: var(--lagoon-deep);
}
.gaps {
  display: flex;
  flex-wrap: wrap;
  max-height: 84px;
  overflow-y: auto;
  justify-content: flex-end;
  gap: 4px;
}
.gap {
  padding: 1px 9px;
  border: 0;
  border-radius: 10px;
  background: var(--sand);
  color: inherit;
  font: 600 14px var(--body);
  cursor: pointer;
}
.gap:hover {
  background: var(--line);
  text-decoration: line-through;
}
</style>
