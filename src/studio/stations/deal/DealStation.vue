<script setup lang="ts">
import { ElSegmented } from 'element-plus'
import { computed, watch } from 'vue'
import InTurn from '../../parts/timing/InTurn.vue'
import { countWords } from '../../../core/count-words.ts'
import { NO_CARD } from '../../../core/deck/card.ts'
import { frameOf, layoutIn } from '../../../core/board/frames.ts'
import { openCells } from '../../../core/board/cells.ts'
import { prepareDeal } from '../../../core/deal/deal.ts'
import { cardName } from '../../../core/deck/card-name.ts'
import { isDealing } from '../../../core/findings/finding.ts'
import { useKeys } from '../../parts/keys/useKeys.ts'
import FindingsList from '../../parts/findings/FindingsList.vue'
import { useFindings } from '../../parts/findings/store.ts'
import { useBench } from '../../store/bench.ts'
import { LENSES, useView, type Lens } from '../../store/view.ts'
import BoardAbove from './BoardAbove.vue'
import BoardPanel from './BoardPanel.vue'
import DealtPanel from './DealtPanel.vue'
import FairnessPanel from './fairness/FairnessPanel.vue'
import FillPanel from './FillPanel.vue'
import CardsPanel from './CardsPanel.vue'
import FramePanel from './FramePanel.vue'
import WayPanel from './WayPanel.vue'

const bench = useBench()
const view = useView()
const checks = useFindings()
const settings = computed(() => bench.settings!)
const dealer = computed(() => prepareDeal(bench.game!.deck.pairs, settings.value, true))
const cells = computed(() => (dealer.value.ok ? dealer.value.value.deal(view.seed || 'first') : null))
/** The deal on screen as a board laid by hand, or null if there is none. */
const cellsNow = (): (string | null)[] | null =>
  cells.value?.map((card) => (card === NO_CARD ? null : cardName(card, bench.game!.deck.pairs))) ?? null
const cards = computed(() => openCells(settings.value.board).length)
/** the layout on the chosen screen; on a phone if none is chosen */
const preview = computed(() => layoutIn(view.frame ?? frameOf('phone'), settings.value))
const LENS_NAMES: Record<Lens, string> = {
  faces: 'faces',
  backs: 'backs',
  threads: 'twin threads',
  steps: 'steps',
  measures: 'measures',
}
const lenses = LENSES.map((value) => ({ value, label: LENS_NAMES[value] }))

/** The findings of this board and its deal; the house rules are checked as if they were a level. */
const findings = computed(() => {
  const index = bench.game!.levels.findIndex(({ id }) => id === bench.rung)
  return checks.ofRung(index < 0 ? null : index).filter(isDealing)
})

/** Two cards swap places, and the board is laid by hand from then on. */
function swap(from: number, to: number): void {
  const arranged = cellsNow()
  if (!arranged) return
  ;[arranged[from], arranged[to]] = [arranged[to]!, arranged[from]!]
  bench.set('deal', { way: 'arranged', arranged }, 'swap two cards', 'single')
}

watch(
  [() => bench.rung, () => settings.value.deal.seed],
  () => (view.seed = view.seedFor(settings.value.deal.seed)),
  { immediate: true },
)
useKeys({ d: view.dealAgain, g: () => (view.lens = view.lens === 'backs' ? 'faces' : 'backs') })
</script>

<template>
  <div class="deal">
    <section class="above" aria-label="The board from above">
      <header>
        <ElSegmented v-model="view.lens" :options="lenses" aria-label="Lens" size="small" />
        <span class="tip">press a cell for a gap · drag cards to swap</span>
      </header>
      <BoardAbove :settings="settings" :cells="cells" @swap="swap" />
    </section>
    <aside class="side">
      <div class="panels">
        <h2>{{ bench.level?.name ?? 'House rules' }}</h2>
        <p class="sum">
          <strong
            >{{ countWords(cards, 'card') }},
            {{ cards % 2 ? 'an odd number' : countWords(cards / 2, 'pair') }}.</strong
          >
        </p>
        <p v-if="bench.game!.deck.pairs.length === 0" class="soft">
          The deck is empty: add pairs on the light table first.
        </p>
        <InTurn><BoardPanel :settings="settings" /></InTurn>
        <InTurn><CardsPanel :settings="settings" :made="preview" /></InTurn>
        <InTurn><FillPanel :settings="settings" /></InTurn>
        <InTurn><WayPanel :settings="settings" :laid="cellsNow" /></InTurn>
        <InTurn><DealtPanel v-if="dealer.ok" :settings="settings" /></InTurn>
        <InTurn><FramePanel :settings="settings" :cells="cells" /></InTurn>
      </div>
      <!-- at the foot: there they move nothing that is about to be pressed as they come and go -->
      <FindingsList class="found" :findings="findings" />
    </aside>
    <!-- at once: the board takes the room that it leaves -->
    <FairnessPanel class="below" :settings="settings" :ready="dealer.ok" />
  </div>
</template>

<style scoped>
.deal {
  display: grid;
  grid-template: minmax(0, 1fr) auto / minmax(0, 1fr) 360px;
  height: 100%;
}
.below {
  grid-column: 1 / -1;
  margin: 0 16px 14px;
}
.above {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  min-height: 0;
  margin: 16px 0 12px 16px;
  border-radius: var(--round-card);
  background: radial-gradient(130% 120% at 12% 0%, var(--table-light), var(--table-deep) 78%);
  overflow: hidden;
}
.above header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 6px 16px;
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
  display: flex;
  flex-direction: column;
  min-height: 0;
}
.panels {
  flex: 1;
  min-height: 0;
  overflow-y: auto;
  padding: 16px 20px 16px;
}
.found {
  flex: none;
  max-height: 45%;
  overflow-y: auto;
  padding: 0 20px;
}
.side h2 {
  font-size: 20px;
}
.sum {
  margin: 2px 0 4px;
}
@media (max-width: 760px) {
  .deal {
    grid-template: 60vh auto auto / minmax(0, 1fr);
    overflow-y: auto;
  }
  .above {
    margin: 12px;
  }
  .above header {
    padding: 8px 8px 0;
  }
  .side {
    min-height: auto;
  }
  .panels {
    flex: none;
    overflow: visible;
  }
  .found {
    position: sticky;
    bottom: 0;
    max-height: 30vh;
    background: var(--card);
  }
}
</style>
