<script setup lang="ts">
import { ElButton } from 'element-plus'
import { computed, defineAsyncComponent, ref } from 'vue'
import { LEVERS, type Lever } from '../../../core/odds/levers.ts'
import { onceTrue } from '../../parts/timing/onceTrue.ts'
import ChartView from '../../parts/charts/ChartView.vue'
import ChoiceWord from '../../parts/settings/ChoiceWord.vue'
import NumberWord from '../../parts/settings/NumberWord.vue'
import BandEnds from './BandEnds.vue'
import { climbOf, CLIMBS, ladderChart, type ClimbOf } from './ladder-chart.ts'
import { numberOf } from './odds-words.ts'
import { useAnswer } from './useAnswer.ts'
import type { OddsSubject } from './useOddsSubject.ts'
import type { ShownMind } from './useMinds.ts'
import { isOneOf, isWithin, useChoice } from '../../parts/settings/useChoice.ts'

/** Wins of 100 on every level, and the wanted band, which the ladder can be evened out to. */
const props = defineProps<{
  subject: OddsSubject
  minds: readonly ShownMind[]
  who: string
  ready: boolean
}>()
const isShare = isWithin([1, 100])
const isBand = (value: unknown): value is [number, number] =>
  Array.isArray(value) && value.length === 2 && value.every(isShare)
const winsBand = useChoice<[number, number]>('odds-band', [90, 60], isBand)
const band = computed((): [number, number] => [winsBand.value[0] / 100, winsBand.value[1] / 100])
const by = useChoice<Lever>('odds-by', 'clock', isOneOf(LEVERS))
const { answer, working, done } = useAnswer(
  () => props.subject,
  () => (props.ready ? { ask: 'ladder', minds: props.minds.map(({ mind }) => mind) } : null),
  true,
)
const names = computed(() => props.subject.levels.map(({ level }) => level.name))
const climbs = computed(() =>
  props.minds.map(({ mind, colour }, i) => ({
    name: mind.name,
    colour,
    main: mind.id === props.who,
    odds: (answer.value ?? []).map((level) => level?.[i] ?? null),
  })),
)
const measure = useChoice<ClimbOf>('odds-climb', 'wins', isOneOf(CLIMBS))
const OF: [ClimbOf, string][] = [
  ['wins', 'who wins, of 100'],
  ['turns', 'turns of a game'],
  ['time', 'time of a game'],
]
const write = (value: number): string =>
  measure.value === 'wins' ? `${value.toFixed(0)} of 100` : numberOf(measure.value, value)
const option = computed(() => ladderChart(names.value, climbs.value, band.value, measure.value, write))
const main = computed(() => props.minds.find(({ mind }) => mind.id === props.who) ?? props.minds[0]!)
const label = computed(() =>
  [
    `Up the ladder: ${OF.find(([one]) => one === measure.value)![1]}`,
    ...climbs.value.map(
      ({ name, odds }) =>
        `${name}: ${odds.map((one, i) => `${names.value[i]} ${one ? write(climbOf(measure.value, one)!) : 'cannot be dealt'}`).join(', ')}`,
    ),
  ].join('. '),
)
// loaded on demand
const EvenOut = defineAsyncComponent(() => import('./EvenOut.vue'))
const evening = ref(false)
const wasEvening = onceTrue(evening)
</script>

<template>
  <section class="ladder-curve" aria-labelledby="curve">
    <header>
      <h2 id="curve">Up the ladder</h2>
      <p>
        <ChoiceWord v-model="measure" label="What the chart shows" :choices="OF" />; wanted of
        {{ main.mind.name.toLowerCase() }} players:
        <NumberWord v-model="winsBand[0]" label="Wins wanted on the first level, of 100" :bounds="[1, 100]" />
        on the first,
        <NumberWord v-model="winsBand[1]" label="Wins wanted on the last level, of 100" :bounds="[1, 100]" />
        on the last
      </p>
      <ElButton class="btn" :disabled="!ready" @click="evening = true">Even it out…</ElButton>
    </header>
    <div class="curve-box">
      <template v-if="answer">
        <ChartView :option="option" :label="label" />
        <BandEnds v-if="measure === 'wins'" v-model="winsBand" :levels="names.length" />
      </template>
      <p v-else class="soft later" role="status">
        {{
          working ? `Playing the ladder … ${Math.round(done * 100)} %` : ready ? '' : 'The ladder is next.'
        }}
      </p>
    </div>
    <EvenOut
      v-if="wasEvening"
      v-model="evening"
      v-model:by="by"
      :subject="subject"
      :mind="main.mind"
      :band="band"
    />
  </section>
</template>

<style scoped>
.ladder-curve {
  display: grid;
  gap: 4px;
  padding: 10px 16px 4px;
  border: 1px solid var(--line);
  border-radius: var(--round-card);
  background: var(--paper);
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
}
h2 {
  font-size: 18px;
}
header p {
  flex: 1;
  margin: 0;
  font-size: 14px;
}
.curve-box {
  position: relative;
  display: grid;
  height: 150px;
}
.curve-box p {
  place-self: center;
}
</style>
