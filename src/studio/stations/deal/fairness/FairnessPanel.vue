<script setup lang="ts">
import { ElButton, ElProgress } from 'element-plus'
import IconAudit from '~icons/ph/magnifying-glass'
import IconRun from '~icons/ph/cards-three'
import { computed, defineAsyncComponent, ref, shallowRef, watch } from 'vue'
import type { Settings } from '../../../../core/settings/settings.ts'
import ChoiceWord from '../../../parts/settings/ChoiceWord.vue'
import { useBench } from '../../../store/bench.ts'
import { useView } from '../../../store/view.ts'
import { measureFairness } from '../../../workers/jobs/fairness.ts'
import { useJob } from '../../../workers/jobs/useJob.ts'
import type { Fairness } from '../../../workers/jobs/work/deals.ts'
import AuditDialog from './AuditDialog.vue'

/**
 * Deals the open level many times and says whether the cards lie as chance would lay them; and accepts boards of other
 * programs.
 */
const props = defineProps<{ settings: Settings; ready: boolean }>()
const bench = useBench()
const view = useView()
const FairReport = defineAsyncComponent(() => import('./FairReport.vue'))

const COUNTS = [1e3, 1e4, 1e5, 1e6].map((n) => [String(n), n.toLocaleString('en')] as const)
const count = ref('10000')
const { share, run, cancel } = useJob((message) => (failure.value = message))
const result = shallowRef<(Fairness & { way: Settings['deal']['way']; count: number }) | null>(null)
const failure = ref('')
const auditOpen = ref(false)

const names = computed(() => bench.game!.deck.pairs.map(({ name }) => name))
const isDrawn = computed(
  () => props.settings.deal.way !== 'in-order' && props.settings.deal.way !== 'arranged',
)
const claim = computed(() => (result.value && result.value.way !== 'shuffled' ? 'by-steps' : 'shuffled'))

async function start(): Promise<void> {
  failure.value = ''
  result.value = null
  const { way } = props.settings.deal
  const deals = Number(count.value)
  const seed = `fairness-${view.seedFor('every-play')}`
  const fairness = await run((progress) =>
    measureFairness(bench.game!.deck.pairs, props.settings, deals, seed, progress),
  )
  if (fairness) result.value = { ...fairness, way, count: deals }
}

// a measurement of another board or deck does not apply to this one
watch(
  () => {
    const { board, fill, deal } = props.settings
    return JSON.stringify([bench.rung, board, fill, deal.way, deal.steps, names.value.length])
  },
  () => {
    cancel()
    result.value = null
  },
)
</script>

<template>
  <section
    class="fairness panel"
    :class="{ idle: !result && share === null }"
    aria-labelledby="fairness-title"
  >
    <div class="run">
      <h2 id="fairness-title">Fairness</h2>
      <p v-if="isDrawn" class="soft">
        Deal this level
        <ChoiceWord v-model="count" label="How many deals" :choices="COUNTS" />
        times.
      </p>
      <p v-else class="soft">This level is not shuffled: there is nothing to test.</p>
      <div v-if="share !== null" class="going">
        <ElProgress :percentage="share * 100" :show-text="false" aria-label="Dealing" />
        <ElButton class="btn" @click="cancel">Stop</ElButton>
      </div>
      <span v-else class="buttons">
        <ElButton v-if="isDrawn" class="btn main" :disabled="!ready" @click="start">
          <IconRun />{{ result ? 'Once more' : 'Deal them' }}
        </ElButton>
        <ElButton class="btn" @click="auditOpen = true"><IconAudit />Other boards…</ElButton>
      </span>
      <p v-if="failure" class="failure" role="alert">This could not be measured: {{ failure }}</p>
    </div>
    <FairReport v-if="result" :tally="result.tally" :report="result.report" :claim="claim" :names="names" />
    <p v-else class="soft hint">
      Shows whether pairs favour certain places, or twins are close together too often.
      <strong>Other boards</strong> are those that your own program deals.
    </p>
    <AuditDialog v-model="auditOpen" />
  </section>
</template>

<style scoped>
.fairness {
  display: grid;
  grid-template-columns: 178px minmax(0, 1fr);
  gap: 20px;
  align-items: center;
  padding: 12px 16px;
  background: var(--paper);
}
.run {
  display: grid;
  gap: 6px;
  align-self: start;
}
/* before anything is measured it takes only one line, or two */
.idle {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 20px;
}
.idle .hint {
  flex: 1 1 320px;
}
.idle .run,
.idle .buttons {
  display: flex;
  align-items: center;
  align-self: center;
  gap: 14px;
  white-space: nowrap;
}
.idle .run .btn {
  width: auto;
}
.run .btn {
  width: 100%;
}
.buttons {
  display: grid;
  justify-items: stretch;
  gap: 8px;
}
.going {
  display: grid;
  gap: 8px;
  justify-items: start;
}
.el-progress {
  flex: 1;
  min-width: 120px;
}
.failure {
  color: var(--brick);
}
.hint {
  max-width: 60ch;
}
@media (max-width: 760px) {
  .fairness {
    grid-template-columns: minmax(0, 1fr);
  }
  .idle .run,
  .idle .buttons {
    flex-wrap: wrap;
  }
}
</style>
