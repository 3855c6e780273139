<script setup lang="ts">
import { ElButton } from 'element-plus'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import type { ToldDeal } from '../../../core/odds/luck.ts'
import type { Mind } from '../../../core/settings/mind.ts'
import { useDone } from '../../parts/toast/useDone.ts'
import { useBench } from '../../store/bench.ts'
import { useView } from '../../store/view.ts'
import { percent } from '../../parts/settings/numbers.ts'
import { useAnswer } from './useAnswer.ts'
import type { OddsSubject } from './useOddsSubject.ts'

/** How much is luck on a level, and the kindest and the hardest of its deals. */
const props = defineProps<{
  subject: OddsSubject
  mind: Mind
  other: Mind | null
  ready: boolean
}>()
const bench = useBench()
const view = useView()
const router = useRouter()
const tell = useDone()
const { answer, working, done } = useAnswer(
  () => props.subject,
  () => (props.ready ? { ask: 'luck', mind: props.mind, other: props.other } : null),
)
/** whether deals differ at all */
const varies = computed(() => {
  const { way, seed } = props.subject.settings.deal
  return typeof seed === 'string' && way !== 'in-order' && way !== 'arranged'
})
const ends = computed(() => {
  if (!answer.value || !varies.value) return []
  const { kindest, hardest, deals } = answer.value
  return [
    { ...kindest, words: `the kindest of ${deals.toLocaleString('en')}: ${dealWords(kindest)}` },
    { ...hardest, words: `the hardest: ${dealWords(hardest)}` },
  ]
})
const dealWords = ({ shrunk }: ToldDeal): string =>
  answer.value!.by === 'won'
    ? `about ${Math.round(Math.max(0, Math.min(1, shrunk)) * 100)} of 100 win`
    : `about ${shrunk.toFixed(1)} turns`
function fix(seed: string): void {
  bench.set('deal', { seed: { fixed: seed } }, 'fix the seed', 'single', props.subject.level.id)
  tell(`${props.subject.level.name} is always dealt as ${seed}`)
}
function play(seed: string): void {
  view.playSeed = seed
  void router.push({ params: { station: 'play', level: props.subject.level.id } })
}
</script>

<template>
  <section aria-labelledby="luck">
    <h2 id="luck">Luck</h2>
    <p v-if="working || !ready" class="soft later" role="status">
      Playing deals … {{ done ? percent(done) : '' }}
    </p>
    <dl v-else-if="answer">
      <div>
        <dt>{{ answer.luck.lucky.toFixed(2) }}</dt>
        <dd>pairs a game are found by luck</dd>
      </div>
      <div v-if="varies && answer.luck.turns !== null">
        <dt>{{ percent(answer.luck.turns) }}</dt>
        <dd>of the difference in turns comes from the deal, the rest from the play</dd>
      </div>
      <div v-if="varies && answer.luck.score !== null">
        <dt>{{ percent(answer.luck.score) }}</dt>
        <dd>of the difference in scores comes from the deal</dd>
      </div>
      <div v-if="answer.beats !== null">
        <dt>{{ percent(1 - answer.beats) }}</dt>
        <dd>of deals go better for {{ other!.name }} than for {{ mind.name }}</dd>
      </div>
    </dl>
  </section>
  <section v-if="ends.length" aria-labelledby="deals">
    <h2 id="deals">Deals</h2>
    <dl class="deals">
      <div v-for="end in ends" :key="end.words">
        <dt>{{ end.seed }}</dt>
        <dd>{{ end.words }}</dd>
        <dd class="acts">
          <ElButton class="btn act" @click="play(end.seed)">Play it</ElButton>
          <ElButton class="btn act" @click="fix(end.seed)">Always deal it</ElButton>
        </dd>
      </div>
    </dl>
  </section>
</template>

<style scoped src="./aside.css"></style>
<style scoped>
.deals div {
  grid-template-columns: 84px minmax(0, 1fr);
  gap: 4px 12px;
}
.acts {
  display: flex;
  grid-column: 1 / -1;
  gap: 6px;
}
.act {
  min-height: 28px;
  height: 28px;
  padding: 0 8px;
  font-size: 13px;
  white-space: nowrap;
}
</style>
