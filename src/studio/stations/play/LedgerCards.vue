<script setup lang="ts">
import { nextTick, ref, watch } from 'vue'
import SmallFace from '../../parts/cards/SmallFace.vue'
import type { LedgerRow } from './ledger-words.ts'
import { useInSight } from './useInSight.ts'

/**
 * The cards of the ledger, a row each. `last`: the last turned cell, kept in view while `follow` is on; −1 for none.
 */
const props = defineProps<{ rows: readonly LedgerRow[]; last: number; flips: number; follow: boolean }>()
const list = ref<HTMLElement>()
const ROW = 29
const { places, before, after, bring } = useInSight(list, {
  count: () => props.rows.length,
  size: ROW,
  lead: ROW,
  sticky: true,
})
watch(
  () => props.flips,
  async () => {
    if (!props.follow) return
    await nextTick()
    bring(props.rows.findIndex(({ cell }) => cell === props.last))
  },
)
</script>

<template>
  <div ref="list" class="cards" tabindex="0" role="region" aria-label="Cards">
    <table :aria-rowcount="rows.length + 1">
      <thead>
        <tr>
          <th scope="col">cell</th>
          <th scope="col">face</th>
          <th scope="col">state</th>
          <th scope="col" data-tip="times seen">seen</th>
          <th scope="col" data-tip="turn in which it was last seen">turn</th>
        </tr>
      </thead>
      <tbody>
        <tr v-if="before" aria-hidden="true" :style="{ height: `${before}px` }" />
        <template v-for="place in places" :key="rows[place]?.cell ?? -1">
          <tr v-if="rows[place]" :aria-rowindex="place + 2" :class="[rows[place].state, rows[place].order]">
            <th scope="row">{{ rows[place].name }}</th>
            <td>
              <SmallFace :face="rows[place].face" :data-tip="rows[place].words" /><span class="hidden-text">{{
                rows[place].words
              }}</span>
            </td>
            <td>{{ rows[place].state }}{{ rows[place].order ? `, ${rows[place].order}` : '' }}</td>
            <td>{{ rows[place].times }}</td>
            <td>{{ rows[place].last || '' }}</td>
          </tr>
        </template>
        <tr v-if="after" aria-hidden="true" :style="{ height: `${after}px` }" />
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.cards {
  overflow-y: auto;
  contain: strict;
}
table {
  width: 100%;
  table-layout: fixed;
  border-spacing: 0;
  font-size: 14px;
}
thead th {
  position: sticky;
  top: 0;
  z-index: 1;
  background: var(--card);
  color: var(--ink-soft);
  font-weight: 500;
  text-align: left;
}
th,
td {
  height: 29px;
  padding: 0 6px 0 4px;
  border-bottom: 1px solid var(--sand);
  text-align: left;
  font-weight: inherit;
}
th:nth-child(1) {
  width: 46px;
}
th:nth-child(2),
th:nth-child(4),
th:nth-child(5) {
  width: 52px;
}
td {
  white-space: nowrap;
}
tr.up {
  background: #fdf1ea;
}
tr.up th {
  color: #8c3713;
}
tr.matched,
tr.gone {
  color: var(--lagoon-deep);
}
</style>
