<script setup lang="ts">
import { ElButton } from 'element-plus'
import IconLess from '~icons/ph/minus'
import IconMore from '~icons/ph/plus'
import { computed } from 'vue'
import { evenCounts } from '../../../core/deal/copies.ts'
import { selectPairs } from '../../../core/deck/select.ts'
import { BOUNDS } from '../../../core/settings/bounds.ts'
import { type Settings } from '../../../core/settings/settings.ts'
import FaceView from '../../parts/cards/FaceView.vue'
import ModalDialog from '../../parts/look/ModalDialog.vue'
import NumberWord from '../../parts/settings/NumberWord.vue'
import { useBench } from '../../store/bench.ts'

/** How many pairs of each kind, set on the faces. Changes apply at once. `needed` is how many pairs the board takes. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ fill: Settings['fill']; needed: number }>()
const bench = useBench()
const pairs = computed(() => bench.game!.deck.pairs)
const countOf = (id: string): number => (Object.hasOwn(props.fill.counts, id) ? props.fill.counts[id]! : 0)
const sum = computed(() => pairs.value.reduce((all, { id }) => all + countOf(id), 0))
const remaining = computed(() => props.needed - sum.value)

function set(id: string, count: number): void {
  const { [id]: _, ...others } = props.fill.counts
  const next = Math.max(BOUNDS.count[0], Math.min(BOUNDS.count[1], count))
  bench.set('fill', { counts: next ? { ...others, [id]: next } : others }, `so many of "${id}"`)
}
const setAll = (counts: Record<string, number>): void =>
  bench.set('fill', { counts }, 'count the pairs anew', 'single')
function share(): void {
  const chosen = pairs.value.flatMap(({ id }, at) => (countOf(id) ? [at] : []))
  const from = chosen.length ? chosen : selectPairs(pairs.value, props.fill.use)
  setAll(evenCounts(pairs.value, from, props.needed))
}
</script>

<template>
  <ModalDialog v-model="open" title="How many pairs of each" :width="900">
    <div class="head">
      <span role="status"
        ><strong>{{ sum }} of {{ needed }} pairs</strong
        >{{
          remaining === 0
            ? ': the board is full'
            : remaining > 0
              ? `: ${remaining} more to choose`
              : `: ${-remaining} too many`
        }}</span
      >
      <span class="ways">
        <ElButton class="btn" :disabled="pairs.length === 0" @click="share">Share them out evenly</ElButton>
        <ElButton class="btn" :disabled="sum === 0" @click="setAll({})">None of any</ElButton>
      </span>
    </div>
    <ul class="faces" tabindex="-1">
      <li v-for="pair in pairs" :key="pair.id" :class="{ out: countOf(pair.id) === 0 }">
        <span class="cards">
          <span class="card"><FaceView :face="pair.a" :name="pair.name" /></span>
          <span v-if="pair.b" class="card"><FaceView :face="pair.b" :name="pair.name" /></span>
        </span>
        <span class="name">{{ pair.name }}</span>
        <span class="count">
          <ElButton
            class="step"
            :aria-label="`One less of ${pair.name}`"
            :disabled="countOf(pair.id) === 0"
            @click="set(pair.id, countOf(pair.id) - 1)"
            ><IconLess
          /></ElButton>
          <NumberWord
            :model-value="countOf(pair.id)"
            :label="`Pairs of ${pair.name}`"
            :bounds="BOUNDS.count"
            @update:model-value="set(pair.id, $event)"
          />
          <ElButton
            class="step"
            :aria-label="`One more of ${pair.name}`"
            @click="set(pair.id, countOf(pair.id) + 1)"
            ><IconMore
          /></ElButton>
        </span>
      </li>
    </ul>
    <template #buttons>
      <ElButton class="btn main" @click="open = false">Done</ElButton>
    </template>
  </ModalDialog>
</template>

<style scoped>
.head {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 16px;
}
.ways {
  display: flex;
  gap: 8px;
}
.faces {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(124px, 1fr));
  gap: 10px;
  align-content: start;
  height: min(460px, 52vh);
  margin: 12px 0 0;
  padding: 6px;
  overflow-y: auto;
  list-style: none;
}
.faces li {
  display: grid;
  justify-items: center;
  gap: 4px;
  padding: 8px 4px;
  border-radius: var(--round-card);
  background: var(--paper);
  content-visibility: auto;
  contain-intrinsic-size: 124px 130px;
}
.cards {
  display: flex;
  gap: 3px;
}
.card {
  width: 52px;
  height: 62px;
  border-radius: 6px;
  background: var(--card);
  box-shadow: 0 0 0 1px var(--line);
}
.out .card {
  opacity: 0.5;
  filter: saturate(0.3);
}
.name {
  max-width: 116px;
  overflow: hidden;
  font-size: 14px;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.count {
  display: flex;
  align-items: center;
  gap: 2px;
}
.step {
  display: grid;
  place-items: center;
  width: 28px;
  min-width: 0;
  height: 28px;
  min-height: 0;
  margin: 0;
  padding: 0;
  border: 0;
  border-radius: var(--round);
  background: none;
  color: var(--lagoon-deep);
}
.step:hover {
  background: var(--sand);
}
</style>
