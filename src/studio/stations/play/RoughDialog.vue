<script setup lang="ts">
import { ElButton, ElProgress, ElTable, ElTableColumn } from 'element-plus'
import { computed, ref } from 'vue'
import { countWords } from '../../../core/count-words.ts'
import { INVARIANTS } from '../../../core/play/invariants.ts'
import { NASTY, type Nasty, type RoughReport } from '../../../core/play/rough.ts'
import { REFUSALS, type Input } from '../../../core/play/events.ts'
import { findLevel, resolveLevel, type Level } from '../../../core/settings/levels.ts'
import ChoiceWord from '../../parts/settings/ChoiceWord.vue'
import ModalDialog from '../../parts/look/ModalDialog.vue'
import { useBench } from '../../store/bench.ts'
import { REFUSAL_WORDS } from './ledger-words.ts'
import { lightPairs, plain } from '../../workers/jobs/for-worker.ts'
import { startJob } from '../../workers/jobs/job.ts'
import { useJob } from '../../workers/jobs/useJob.ts'

/** Very many random and nasty presses on this level, with the rules checked after each. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ level: Level }>()
const emit = defineEmits<{ show: [played: { seed: string; inputs: Input[] }] }>()
const bench = useBench()
const COUNTS: [number, string][] = [
  [100_000, '100,000'],
  [1_000_000, '1,000,000'],
  [10_000_000, '10,000,000'],
]
const count = ref(1_000_000)
const report = ref<RoughReport | null>(null)
const problem = ref('')
const { share, run, cancel } = useJob((message) => (problem.value = message))

const WORDS: Record<Nasty, string> = {
  twice: 'the same card pressed twice',
  third: 'another card at the same moment',
  twin: 'the twin, so that the game moves on',
  'last-ms': 'a press in the last millisecond of a look or the clock',
  'just-late': 'a press at the moment when a look or the clock ends',
  pause: 'pause and resume, at any moment',
  outside: 'a press outside the board',
  button: 'the turn-back button, whether it is there or not',
  anywhere: 'any card, after any wait',
}
const number = (n: number): string => n.toLocaleString('en')
const trials = computed(() =>
  NASTY.map((kind) => ({ words: WORDS[kind], times: number(report.value?.tried[kind] ?? 0) })),
)
const refused = computed(() =>
  REFUSALS.flatMap((reason) => {
    const times = report.value?.refused[reason] ?? 0
    return times ? [{ words: REFUSAL_WORDS[reason], times: number(times) }] : []
  }),
)

async function start(): Promise<void> {
  report.value = null
  problem.value = ''
  const input = {
    pairs: lightPairs(bench.game!.deck.pairs),
    settings: plain(resolveLevel(bench.game!, findLevel(bench.game!, props.level.id))),
    seed: `rough-${Date.now()}`,
    inputs: count.value,
  }
  const result = await run((progress) => startJob('handleLevel', input, { progress }))
  if (result?.ok) report.value = result.value
  else if (result) problem.value = result.problem.message
}
</script>

<template>
  <ModalDialog v-model="open" title="Rough handling" :width="640">
    <p class="soft">
      Plays {{ level.name }} with a great many presses, including some that no player should make, and checks
      after each one that the rules hold.
    </p>
    <div class="row">
      <span
        >Inputs <ChoiceWord v-model="count" label="Inputs" :choices="COUNTS" :disabled="share !== null"
      /></span>
      <ElButton v-if="share === null" class="btn main" @click="start">
        {{ report ? 'Start again' : 'Start' }}
      </ElButton>
      <template v-else>
        <ElProgress :percentage="share * 100" :show-text="false" aria-label="Inputs tried" />
        <ElButton class="btn" @click="cancel">Cancel</ElButton>
      </template>
    </div>
    <p v-if="problem" class="bad" role="alert">{{ problem }}</p>
    <div v-if="report" role="status">
      <p v-if="report.broke" class="bad">
        Broken: {{ INVARIANTS[report.broke.invariant] }}.
        <ElButton class="btn" @click="emit('show', report.broke)">Show that game</ElButton>
      </p>
      <p v-else class="good">
        The rules held in all {{ number(report.inputs) }} inputs. {{ countWords(report.games, 'game') }}:
        {{ number(report.won) }} won, {{ number(report.lost) }} lost,
        {{ number(report.games - report.won - report.lost) }} not finished.
      </p>
    </div>
    <div v-if="report" class="two">
      <ElTable :data="trials" size="small">
        <ElTableColumn prop="words" label="What was tried" min-width="220" />
        <ElTableColumn prop="times" label="times" align="right" />
      </ElTable>
      <ElTable :data="refused" size="small" empty-text="Nothing was refused.">
        <ElTableColumn prop="words" label="Refused, and why" min-width="130" />
        <ElTableColumn prop="times" label="times" align="right" />
      </ElTable>
    </div>
  </ModalDialog>
</template>

<style scoped>
.row {
  display: flex;
  align-items: center;
  gap: 12px;
  margin: 14px 0;
}
.el-progress {
  flex: 1;
  min-width: 120px;
}
.good {
  padding: 10px 14px;
  border-radius: var(--round);
  background: var(--lagoon-pale);
}
.bad {
  padding: 10px 14px;
  border-radius: var(--round);
  background: var(--brick-pale);
  color: var(--brick);
}
.two {
  display: grid;
  grid-template-columns: 3fr 2fr;
  gap: 24px;
  align-items: start;
  margin-top: 14px;
}
</style>
