<script setup lang="ts">
import { ElButton } from 'element-plus'
import { computed, ref, watch } from 'vue'
import { openCells } from '../../../core/board/cells.ts'
import { withLever } from '../../../core/odds/levers.ts'
import { decidesWins, winsUnderLimits } from '../../../core/odds/wins-under-limits.ts'
import type { Settings } from '../../../core/settings/settings.ts'
import ChartView from '../../parts/charts/ChartView.vue'
import { ABOVE, BELOW, densityChart, rangeOf, ROW, SIDE, type ChartRow } from './density-chart.ts'
import LimitLine from './LimitLine.vue'
import type { MindResult } from './useGames.ts'
import { ofHundred } from '../../parts/settings/lever-words.ts'
import { type Axis, lostWords, numberOf } from './odds-words.ts'

/** The games of a level: one density for each mind on a common axis, the limit as a line to drag, and wins of 100. */
const props = defineProps<{ rows: readonly ChartRow[]; axis: Axis; settings: Settings; old: boolean }>()
const emit = defineEmits<{ limit: [value: number, byKey: boolean]; watch: [mind: string] }>()

/** the limit on this axis, in its unit */
const limit = computed(() => {
  const { clock, limits } = props.settings
  if (props.axis === 'time') return clock.mode === 'down' ? clock.limit : null
  return props.axis === 'turns' ? limits.turns : null
})
/** the limit while it is dragged */
const dragged = ref<number | null>(null)
watch(limit, () => (dragged.value = null))
const limitNow = computed(() => dragged.value ?? limit.value)
const range = computed(() => rangeOf(props.rows, props.axis, limit.value))
const number = (value: number): string => numberOf(props.axis, value)
const option = computed(() => densityChart(props.rows, props.axis, range.value, number))
const follows = computed(() => decidesWins(props.settings) && props.settings.limits.lives === null)
/** How many of a mind's games are won with the limit at its dragged value. */
const wonThere = ({ unlimited }: MindResult): number =>
  winsUnderLimits(
    unlimited,
    withLever(props.settings, props.axis === 'time' ? 'clock' : 'turns', dragged.value!),
    openCells(props.settings.board).length / 2,
  )
const figures = computed(() =>
  props.rows.map(({ id, name, played }) => {
    const { odds, exact } = played
    const isMoved = dragged.value !== null && dragged.value !== limit.value
    if (isMoved && !follows.value) return { id, name, wins: '…', about: 'known once you let go' }
    if (isMoved)
      return {
        id,
        name,
        ...ofHundred(wonThere(played), odds.games),
      }
    const share = ofHundred(odds.won, odds.games)
    return {
      id,
      name,
      wins: share.wins,
      about: exact?.wins === null || !exact ? share.about : `exactly ${(exact.wins * 100).toFixed(1)}`,
      lost: lostWords(odds),
    }
  }),
)
const height = computed(() => `${ABOVE + props.rows.length * ROW + BELOW}px`)
const label = computed(() =>
  [
    `Games by ${props.axis}`,
    ...props.rows.map(({ name, played }) =>
      props.axis === 'stars'
        ? `${name}: ${(played.odds.stars ?? []).map((count, stars) => `${stars} in ${count} games`).join(', ')}`
        : `${name}: ${number(played.odds[props.axis].mean)} on average`,
    ),
  ].join('. '),
)
</script>

<template>
  <div class="games" :class="{ old }">
    <div class="chart-box" :style="{ height }">
      <ChartView :option="option" :label="label" />
      <LimitLine
        v-if="limit !== null && limitNow !== null && (axis === 'time' || axis === 'turns')"
        :axis="axis"
        :value="limitNow"
        :range="range"
        :side="SIDE"
        :height="ABOVE + rows.length * ROW"
        @drag="(value) => (dragged = value)"
        @drop="(value, byKey) => (value === limit ? (dragged = null) : emit('limit', value, byKey))"
      />
    </div>
    <div class="wins" :style="{ '--row': `${ROW}px`, '--above': `${ABOVE}px` }">
      <dl>
        <div v-for="{ id, name, wins, about, lost } in figures" :key="id">
          <dt>{{ name }}</dt>
          <dd>
            <b>{{ wins }}</b> <span class="soft">{{ about }}</span>
            <span v-if="lost" class="lost">{{ lost }}</span>
          </dd>
          <dd class="watch">
            <ElButton
              :aria-label="`Watch ${name} play`"
              data-tip="See it play on the table"
              @click="emit('watch', id)"
              >watch</ElButton
            >
          </dd>
        </div>
      </dl>
      <p class="soft">win, of 100</p>
    </div>
  </div>
</template>

<style scoped>
.games {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 190px;
  gap: 8px;
}
.old {
  opacity: 0.45;
}
.chart-box {
  position: relative;
}
.wins {
  padding-top: var(--above);
}
.wins dl {
  margin: 0;
}
.wins div {
  position: relative;
  height: var(--row);
  font-size: 14px;
  line-height: 1.25;
}
dt {
  font-weight: 600;
}
dd {
  margin: 0;
}
.watch {
  position: absolute;
  top: 0;
  right: 0;
}
.watch .el-button {
  height: auto;
  padding: 0 4px;
  border: 0;
  color: var(--lagoon);
  font-size: 14px;
  font-weight: 600;
  text-decoration: underline dotted;
  text-underline-offset: 3px;
}
.wins b {
  font: 700 19px/1.1 var(--head);
}
.lost {
  display: block;
  overflow: hidden;
  color: var(--brick);
  font-size: 13px;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.wins p {
  margin: 0;
  font-size: 13px;
}
</style>
