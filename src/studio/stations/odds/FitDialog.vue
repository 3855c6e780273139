<script setup lang="ts">
import { ElButton, ElCheckbox } from 'element-plus'
import { computed, ref, shallowRef, watch } from 'vue'
import { countWords } from '../../../core/count-words.ts'
import { problemLine } from '../../../core/result.ts'
import { TOO_FEW, type FittedValue } from '../../../core/odds/fit.ts'
import { READY_MINDS, type Mind } from '../../../core/settings/mind.ts'
import { newId } from '../../../core/settings/new-id.ts'
import FilePicker from '../../parts/files/FilePicker.vue'
import ModalDialog from '../../parts/look/ModalDialog.vue'
import { textOf } from '../../parts/files/text-of.ts'
import { useDone } from '../../parts/toast/useDone.ts'
import { useToasts } from '../../parts/toast/useToasts.ts'
import { useBench } from '../../store/bench.ts'
import { useTapeStore } from '../../store/tapes.ts'
import { bareGame, plain } from '../../workers/jobs/for-worker.ts'
import { startJob } from '../../workers/jobs/job.ts'
import { useJob } from '../../workers/jobs/useJob.ts'
import type { FittedRecords } from '../../workers/jobs/work/records.ts'
import FitTold from './FitTold.vue'

/** The mind that fits played games: dropped records, tapes of Play, and the game's own kept checks. */
const props = defineProps<{ minds: readonly Mind[]; full: boolean }>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ made: [id: string] }>()
const bench = useBench()
const { say } = useToasts()
const tell = useDone()
const picker = ref<InstanceType<typeof FilePicker>>()

const files = shallowRef<{ name: string; text: string }[]>([])
const checks = computed(() => bench.game!.checks ?? [])
const withChecks = ref(false)
/** your own tapes; games of a mind that you watched do not count */
const tapes = computed(() => useTapeStore().kept.filter(({ by }) => by === ''))
const withTapes = ref(true)
const answer = shallowRef<FittedRecords | null>(null)
const { share, run, cancel } = useJob((message) =>
  say(`These records could not be read: ${message}`, { tone: 'wrong' }),
)
const working = computed(() => share.value !== null)

async function take(added: Iterable<File> = []): Promise<void> {
  const next = [...files.value]
  for (const file of added) {
    const text = await textOf(file)
    if (!text.ok) say(`${file.name}: ${problemLine(text.problem)}`, { tone: 'wrong' })
    else if (!next.some(({ name, text: same }) => name === file.name && same === text.value))
      next.push({ name: file.name, text: text.value })
  }
  files.value = next
}
async function fit(): Promise<void> {
  cancel()
  answer.value = null
  const records = [...(withTapes.value ? tapes.value : []), ...(withChecks.value ? checks.value : [])].map(
    (record) => ({ name: record.name, record }),
  )
  if (!open.value || (files.value.length === 0 && records.length === 0)) return
  const input = plain({ game: bareGame(bench.game!), files: files.value, kept: records })
  const fitted = await run(() => startJob('fitRecords', input))
  if (fitted) answer.value = fitted
}
watch([files, withChecks, withTapes, tapes, open], () => void fit(), { immediate: true })

const mind = computed((): Mind | null => {
  const { notice, fade, first, second, spread } = answer.value?.fit ?? {}
  if (!notice || !fade) return null
  const { glance } = READY_MINDS[2]!.memory
  const pace = READY_MINDS[2]!.pace
  const name = 'Fitted'
  const whole = (value: FittedValue | null | undefined, other: number): number =>
    Math.max(1, Math.round(value?.value ?? other))
  return {
    id: newId(
      name,
      props.minds.map(({ id }) => id),
      'mind',
    ),
    name,
    memory: { notice: +notice.value.toFixed(3), hold: null, fade: +fade.value.toFixed(3), blur: 0, glance },
    pace: {
      first: whole(first, pace.first),
      second: whole(second, pace.second),
      spread: +(spread?.value ?? pace.spread).toFixed(2),
    },
  }
})
function use(): void {
  const fittedMind = mind.value!
  bench.edit('add a fitted mind', (game) => {
    game.minds = [...(game.minds ?? []), fittedMind]
  })
  emit('made', fittedMind.id)
  open.value = false
  tell('The fitted mind is among those of this game')
}
</script>

<template>
  <ModalDialog v-model="open" title="A mind that plays like your players" :width="760">
    <div class="drop" @drop.prevent="take($event.dataTransfer?.files)" @dragover.prevent>
      <p>
        Drop records of this game here (NAME.play.json, saved by Play or by your own program).
        <span class="soft">{{ files.length ? `Files: ${files.length}.` : '' }}</span>
      </p>
      <ElButton class="btn" @click="picker?.choose()">Choose records…</ElButton>
      <ElCheckbox v-if="tapes.length" v-model="withTapes">
        with what you played here: {{ countWords(tapes.length, 'tape') }}
      </ElCheckbox>
      <ElCheckbox v-if="checks.length" v-model="withChecks">
        with the {{ countWords(checks.length, 'kept check') }} of this game
      </ElCheckbox>
      <FilePicker ref="picker" label="Records to fit" accept=".json,application/json" multiple @take="take" />
    </div>
    <p v-if="working" class="soft" role="status">Fitting …</p>
    <template v-if="answer">
      <p role="status">
        {{ countWords(answer.used, 'record is', 'records are') }} used;
        {{ countWords(answer.fit.turns, 'turn shows', 'turns show') }} what was remembered<template
          v-if="answer.fit.turns < TOO_FEW"
          >: too few, {{ TOO_FEW }} are needed</template
        >.
      </p>
      <details v-if="answer.left.length" class="left">
        <summary>{{ answer.left.length }} left out</summary>
        <p v-for="{ name, why } in answer.left.slice(0, 12)" :key="name" class="soft">
          {{ name }}: {{ why }}
        </p>
      </details>
      <FitTold :fit="answer.fit" />
    </template>
    <template #buttons>
      <ElButton class="btn" @click="open = false">Close</ElButton>
      <ElButton class="btn main" :disabled="!mind || full" @click="use">Use it</ElButton>
    </template>
  </ModalDialog>
</template>

<style scoped>
p {
  margin: 0;
}
.drop {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px 16px;
  padding: 16px;
  border: 2px dashed var(--el-border-color-hover);
  border-radius: var(--round-card);
  margin-bottom: 12px;
}
.drop p {
  flex: 1 0 100%;
}
.left p {
  font-size: 14px;
}
</style>
