<script setup lang="ts">
import IconDoubt from '~icons/ph/question'
import IconFair from '~icons/ph/scales'
import IconUnfair from '~icons/ph/warning-octagon'
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import { countWords } from '../../../../core/count-words.ts'
import type { Report } from '../../../../core/audit/report.ts'
import type { Claim } from '../../../../core/audit/theory.ts'
import { oftenOf, oftenWords } from '../../../../core/audit/often.ts'
import type { Tally } from '../../../../core/audit/tally.ts'
import { chanceWords, VERDICT_NAMES, verdictWords } from '../../../../core/audit/words.ts'
import ChoiceWord from '../../../parts/settings/ChoiceWord.vue'
import { heatMap, landings, stepsChart } from './charts.ts'

/** The result of many deals: where a chosen pair landed, how far apart twins lie, and one verdict. */
const props = defineProps<{
  tally: Tally
  report: Report
  claim: Claim
  names: readonly string[]
  reason?: string | undefined
}>()
const ChartView = defineAsyncComponent(() => import('../../../parts/charts/ChartView.vue'))

const present = computed(() => {
  const { at, pairs } = props.tally
  const rows: number[] = []
  for (let pair = 0; pair < pairs; pair++) {
    let seen = false
    for (let i = pair; !seen && i < at.length; i += pairs) seen = at[i]! > 0
    if (seen) rows.push(pair)
  }
  return rows
})
const pair = ref(0)
watch(
  present,
  (pairs) => {
    if (!pairs.includes(pair.value)) pair.value = pairs[0] ?? 0
  },
  { immediate: true },
)
const choices = computed(() =>
  present.value.map((at) => [String(at), props.names[at] ?? `pair ${at + 1}`] as const),
)
const landed = computed(() => {
  const { cells, even } = landings(props.tally, pair.value)
  const counts = cells.map(({ seen }) => seen)
  return { even, least: Math.min(...counts), most: Math.max(...counts) }
})
const count = (n: number): string => n.toLocaleString('en', { maximumFractionDigits: n < 100 ? 1 : 0 })
const heat = computed(() => heatMap(props.tally, pair.value))
const steps = computed(() => props.report.steps && stepsChart(props.report.steps))
const sign = computed(() =>
  props.report.verdict === 'fair' ? IconFair : props.report.verdict === 'unfair' ? IconUnfair : IconDoubt,
)
const twins = computed(() => {
  const { beside, steps: far } = props.report
  return [
    ...(beside
      ? [
          `Side by side: ${beside.seen.toFixed(2)} per board, ${beside.expected.toFixed(2)} expected (${chanceWords(beside.p)}).`,
        ]
      : []),
    ...(far
      ? [
          props.claim === 'by-steps'
            ? `${far.meanSeen.toFixed(2)} steps on average, where a shuffle has ${far.meanExpected.toFixed(2)}.`
            : `${far.meanSeen.toFixed(2)} steps on average, ${far.meanExpected.toFixed(2)} expected.`,
        ]
      : []),
  ]
})
const whole = computed(() => {
  const { places, repeats, deals, beside, steps: far } = props.report
  const same =
    repeats.distinct === deals
      ? 'No board came twice.'
      : `${count(repeats.distinct)} different boards among ${count(deals)}${
          repeats.expected === null
            ? ''
            : `; ${countWords(repeats.seen, 'pair')} of equal boards, ${count(repeats.expected)} expected`
        }.`
  return [
    ...(places
      ? [
          `Pair by place: chi-square ${count(places.statistic)} on ${count(places.degrees)} degrees of freedom (${chanceWords(places.p)}).`,
        ]
      : []),
    ...(beside && far && props.claim === 'shuffled'
      ? [`Twins side by side ${chanceWords(beside.p)}, steps between them ${chanceWords(far.p)}.`]
      : []),
    same,
    oftenWords(oftenOf(props.tally), props.names),
  ]
})
</script>

<template>
  <div class="report">
    <section class="where" aria-label="Where a pair lands">
      <div class="heat">
        <ChartView
          :option="heat"
          :label="`Where ${names[pair]} lands: ${count(landed.least)} to ${count(landed.most)} times per cell; ${count(landed.even)} would be even`"
        />
      </div>
      <p>
        Where
        <ChoiceWord
          :model-value="String(pair)"
          label="Pair"
          :choices="choices"
          @update:model-value="(value) => (pair = Number(value))"
        />
        lands: {{ count(landed.least) }} to {{ count(landed.most) }} times per cell;
        {{ count(landed.even) }} would be even.
      </p>
    </section>
    <section v-if="steps" class="apart" aria-label="How far apart twins are">
      <div class="bars">
        <ChartView :option="steps" label="Steps between twins, seen as bars, expected as marks" />
      </div>
      <p>
        Steps between twins, <b class="bar keeps-colours">seen</b> and
        <b class="mark keeps-colours">expected</b>. {{ twins.join(' ') }}
      </p>
    </section>
    <section class="verdict" :class="report.verdict" role="status">
      <component :is="sign" aria-hidden="true" />
      <div>
        <p>
          <strong>{{ VERDICT_NAMES[report.verdict] }}.</strong> {{ verdictWords(report, claim) }}
        </p>
        <p v-if="reason" class="reason">{{ reason }}</p>
        <p class="figures">{{ whole.join(' ') }}</p>
      </div>
    </section>
  </div>
</template>

<style scoped>
.report {
  display: grid;
  grid-template-columns: minmax(0, 190px) minmax(0, 210px) minmax(0, 1fr);
  gap: 22px;
  align-items: start;
}
.where,
.apart {
  display: grid;
  gap: 6px;
}
.where p,
.apart p {
  font-size: 14px;
  line-height: 1.4;
}
.heat,
.bars {
  height: 122px;
}
.heat {
  max-width: 210px;
}
.bar {
  color: var(--lagoon-deep);
}
.mark {
  color: var(--apricot-deep);
}
.verdict {
  display: grid;
  grid-template-columns: 26px 1fr;
  gap: 10px;
  padding: 12px 14px;
  border-radius: var(--round-card);
  background: var(--sand);
}
.verdict svg {
  width: 26px;
  height: 26px;
}
.verdict.fair {
  background: var(--lagoon-pale);
  color: #0f5556;
}
.verdict.unfair {
  background: var(--brick-pale);
  color: var(--brick);
}
.verdict.doubtful {
  background: var(--apricot-pale);
  color: #7c3214;
}
.reason {
  margin-top: 6px;
  color: var(--ink);
}
.figures {
  margin-top: 6px;
  color: var(--ink);
  font-size: 14px;
}
@media (max-width: 760px) {
  .report {
    grid-template-columns: 1fr;
  }
}
</style>
