<script setup lang="ts">
import { ElButton, ElProgress } from 'element-plus'
import { ref, shallowRef, watch } from 'vue'
import type { LogAudit } from '../../../core/audit/log.ts'
import { bad, problemLine, type Result } from '../../../core/result.ts'
import FilePicker from '../../parts/files/FilePicker.vue'
import LongText from '../../parts/files/LongText.vue'
import ModalDialog from '../../parts/look/ModalDialog.vue'
import { textOf } from '../../parts/files/text-of.ts'
import { useBench } from '../../store/bench.ts'
import { bareGame, plain } from '../../workers/jobs/for-worker.ts'
import { startJob } from '../../workers/jobs/job.ts'
import { useJob } from '../../workers/jobs/useJob.ts'

/** The log of a game that another program played, read line by line against the rules of this game. */
const open = defineModel<boolean>({ required: true })
const bench = useBench()
const picker = ref<InstanceType<typeof FilePicker>>()
const text = ref('')
const name = ref('')
const outcome = shallowRef<Result<LogAudit> | null>(null)
const { share, run, cancel } = useJob((message) => (outcome.value = bad('', message)))
const SAMPLE = `{"level":"warm-up","seed":"any","rows":2,"columns":2,"cells":["cog/a","key/a","cog/a","key/a"]}
{"at":812,"do":"press","cell":"A1","shows":"cog/a"}
{"at":1490,"do":"press","cell":"B1","shows":"key/a"}
{"at":2490,"see":{"A1":"down","B1":"down"}}
{"at":9000,"end":"won"}`

async function judge(): Promise<void> {
  outcome.value = null
  const input = { game: plain(bareGame(bench.game!)), text: text.value }
  outcome.value ??= await run((progress) => startJob('readLog', input, { progress }))
}
watch(open, (isOpen) => !isOpen && cancel())
async function take(files: Iterable<File> = []): Promise<void> {
  const [file] = files
  if (!file) return
  const content = await textOf(file)
  if (!content.ok) {
    outcome.value = bad(file.name, problemLine(content.problem))
    return
  }
  text.value = content.value
  name.value = file.name
  await judge()
}
</script>

<template>
  <ModalDialog v-model="open" title="Audit of a log" :width="760">
    <p class="soft">
      Did another program keep these rules? Paste or drop what it did: first the deal, then one line for each
      press, each look at the table, and the end.
    </p>
    <LongText
      v-model="text"
      v-model:name="name"
      class="data"
      label="Log, one JSON object a line"
      :placeholder="SAMPLE"
      :rows="9"
      @drop.prevent="take($event.dataTransfer?.files)"
      @dragover.prevent
    />
    <div class="row">
      <ElButton class="btn main" :disabled="!text.trim() || share !== null" @click="judge"
        >Check this log</ElButton
      >
      <ElButton class="btn" @click="picker?.choose()">Open a file</ElButton>
      <FilePicker ref="picker" label="Log to open" accept=".jsonl,.json,.txt,.log" @take="take" />
      <span class="soft">cells as A1; times in ms since the deal</span>
    </div>
    <div v-if="share !== null" class="going">
      <ElProgress :percentage="share * 100" :show-text="false" aria-label="Reading the log" />
      <ElButton class="btn" @click="cancel">Stop</ElButton>
    </div>
    <div role="status">
      <p v-if="outcome && !outcome.ok" class="bad">
        {{ outcome.problem.at ? `${outcome.problem.at}: ` : '' }}{{ outcome.problem.message }}
      </p>
      <template v-else-if="outcome">
        <p v-if="outcome.value.breach" class="bad">
          <strong>Line {{ outcome.value.breach.line }}</strong
          >, at {{ (outcome.value.breach.at / 1000).toFixed(2) }} s: {{ outcome.value.breach.message }}.
        </p>
        <p v-else class="good">
          The rules were kept: {{ outcome.value.lines }} lines, {{ outcome.value.presses }} presses.
        </p>
        <p v-for="torn in outcome.value.torn.slice(0, 5)" :key="torn" class="soft">{{ torn }}: left out</p>
        <p v-if="outcome.value.torn.length > 5" class="soft">
          and {{ outcome.value.torn.length - 5 }} more lines left out
        </p>
      </template>
    </div>
  </ModalDialog>
</template>

<style scoped>
.going {
  display: flex;
  align-items: center;
  gap: 12px;
  margin-top: 12px;
}
.going .el-progress {
  flex: 1;
}
.row {
  display: flex;
  align-items: center;
  gap: 12px;
  margin: 10px 0;
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
</style>
