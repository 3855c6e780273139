<script setup lang="ts">
import { ElButton, ElInput } from 'element-plus'
import { ref } from 'vue'
import { auditLog, type LogAudit } from '../../../core/audit/log.ts'
import { problemLine, type Result } from '../../../core/result.ts'
import FilePicker from '../../parts/files/FilePicker.vue'
import ModalDialog from '../../parts/look/ModalDialog.vue'
import { textOf } from '../../parts/files/text-of.ts'
import { useBench } from '../../store/bench.ts'

/** The log of a game that another program played, read line by line against the rules of this game. */
const open = defineModel<boolean>({ required: true })
const bench = useBench()
const picker = ref<InstanceType<typeof FilePicker>>()
const text = ref('')
const read = ref<Result<LogAudit> | null>(null)
const SAMPLE = `{"level":"warm-up","seed":"any","rows":2,"columns":2,"cells":["cog/a","key/a","cog/a","key/a"]}
{"at":812,"do":"press","cell":"A1","shows":"cog/a"}
{"at":1490,"do":"press","cell":"B1","shows":"key/a"}
{"at":2490,"see":{"A1":"down","B1":"down"}}
{"at":9000,"end":"won"}`

function judge(): void {
  read.value = auditLog(bench.game!, text.value)
}
async function take(files: Iterable<File> = []): Promise<void> {
  const [file] = files
  if (!file) return
  const content = await textOf(file)
  if (!content.ok) {
    read.value = { ok: false, problem: { at: file.name, message: problemLine(content.problem) } }
    return
  }
  text.value = content.value
  judge()
}
</script>

<template>
  <ModalDialog v-model="open" title="Audit of a log" :width="760">
    <p class="soft">
      Did another program keep these rules? Paste or drop what it did: first the deal, then one line for each
      press, each look at the table, and the end.
    </p>
    <ElInput
      v-model="text"
      class="data"
      type="textarea"
      aria-label="Log, one JSON object a line"
      :placeholder="SAMPLE"
      spellcheck="false"
      :rows="9"
      @drop.prevent="take($event.dataTransfer?.files)"
      @dragover.prevent
    />
    <div class="row">
      <ElButton class="btn main" :disabled="!text.trim()" @click="judge">Check this log</ElButton>
      <ElButton class="btn" @click="picker?.choose()">Open a file</ElButton>
      <FilePicker ref="picker" label="Log to open" accept=".jsonl,.json,.txt,.log" @take="take" />
      <span class="soft">cells as A1; times in ms since the deal</span>
    </div>
    <div role="status">
      <p v-if="read && !read.ok" class="bad">
        {{ read.problem.at ? `${read.problem.at}: ` : '' }}{{ read.problem.message }}
      </p>
      <template v-else-if="read">
        <p v-if="read.value.breach" class="bad">
          <strong>Line {{ read.value.breach.line }}</strong
          >, at {{ (read.value.breach.at / 1000).toFixed(2) }} s: {{ read.value.breach.message }}.
        </p>
        <p v-else class="good">
          The rules were kept: {{ read.value.lines }} lines, {{ read.value.presses }} presses.
        </p>
        <p v-for="torn in read.value.torn.slice(0, 5)" :key="torn" class="soft">{{ torn }}: left out</p>
        <p v-if="read.value.torn.length > 5" class="soft">
          and {{ read.value.torn.length - 5 }} more lines left out
        </p>
      </template>
    </div>
  </ModalDialog>
</template>

<style scoped>
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
