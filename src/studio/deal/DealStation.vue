<script setup lang="ts">
import { ElSegmented } from 'element-plus'
import 'element-plus/theme-chalk/el-segmented.css'
import { computed, watch } from 'vue'
import { openCells } from '../../core/deal/cells.ts'
import { prepareDeal } from '../../core/deal/deal.ts'
import { useKeys } from '../bench/useKeys.ts'
import { useBench } from '../store/bench.ts'
import { useView } from '../store/view.ts'
import BoardAbove from './BoardAbove.vue'
import BoardPanel from './BoardPanel.vue'
import DealFixes from './DealFixes.vue'
import FillPanel from './FillPanel.vue'
import WayPanel from './WayPanel.vue'

const bench = useBench()
const view = useView()
const settings = computed(() => bench.settings!)
const dealer = computed(() => prepareDeal(bench.game!.deck.pairs, settings.value))
const cells = computed(() => (dealer.value.ok ? dealer.value.value.deal(view.seed || 'first') : null))
const lens = computed({
  get: () => (view.glass ? 'faces' : 'backs'),
  set: (value) => void (view.glass = value === 'faces'),
})
const cards = computed(() => openCells(settings.value.board).length)

watch(
  () => [bench.rung, settings.value.deal.seed],
  () => (view.seed = view.seedFor(settings.value.deal.seed)),
  { immediate: true },
)
useKeys({ d: view.dealAgain, g: () => (view.glass = !view.glass) })
</script>

<template>
  <div class="deal">
    <section class="above" aria-label="The board from above">
      <header>
        <ElSegmented v-model="lens" :options="['faces', 'backs']" aria-label="Lens" size="small" />
        <span class="tip">press a cell to make or fill a gap</span>
      </header>
      <BoardAbove :settings="settings" :cells="cells" :faces="view.glass" />
    </section>
    <aside class="side">
      <h2>{{ bench.level?.name ?? 'House rules' }}</h2>
      <p class="sum">
        <strong>{{ cards }} cards, {{ cards % 2 ? 'an odd number' : `${cards / 2} pairs` }}.</strong>
      </p>
      <DealFixes v-if="!dealer.ok" :problem="dealer.problem" :settings="settings" />
      <BoardPanel :settings="settings" />
      <FillPanel :settings="settings" />
      <WayPanel :settings="settings" />
    </aside>
  </div>
</template>

<style scoped>
.deal {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 360px;
  height: 100%;
}
.above {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  min-height: 0;
  margin: 16px 0 16px 16px;
  border-radius: var(--round-card);
  background: radial-gradient(130% 120% at 12% 0%, var(--table-light), var(--table-deep) 78%);
  overflow: hidden;
}
.above header {
  display: flex;
  align-items: center;
  justify-content: space-between;
  padding: 12px 16px 0;
}
.above :deep(.el-segmented) {
  --el-segmented-bg-color: #ffffff1f;
  --el-segmented-color: #f3eee2;
  --el-segmented-item-hover-bg-color: #ffffff29;
  --el-segmented-item-hover-color: #fff;
  --el-segmented-item-active-bg-color: #ffffff33;
  --el-segmented-item-selected-bg-color: #f3eee2;
  --el-segmented-item-selected-color: #23243f;
}
.tip {
  color: #c9c6da;
  font-size: 14px;
}
.side {
  overflow-y: auto;
  padding: 16px 20px 32px;
}
.side h2 {
  font-size: 20px;
}
.sum {
  margin: 2px 0 4px;
}
@media (max-width: 760px) {
  .deal {
    grid-template-columns: 1fr;
    grid-template-rows: 60vh auto;
    overflow-y: auto;
  }
}
</style>
