<script setup lang="ts">
import { ElButton, ElProgress } from 'element-plus'
import IconFile from '~icons/ph/upload-simple'
import { defineAsyncComponent, ref, shallowRef, watch } from 'vue'
import { problemLine } from '../../../../core/result.ts'
import FilePicker from '../../../parts/files/FilePicker.vue'
import LongText from '../../../parts/files/LongText.vue'
import ModalDialog from '../../../parts/look/ModalDialog.vue'
import { textOf } from '../../../parts/files/text-of.ts'
import { startJob } from '../../../workers/jobs/job.ts'
import { useJob } from '../../../workers/jobs/useJob.ts'
import type { AuditedBoards } from '../../../workers/jobs/work/deals.ts'
import BoardsAsRead from './BoardsAsRead.vue'

/** Boards that another program dealt: dropped, opened or pasted, shown as they were read, and checked like our own. */
const open = defineModel<boolean>({ required: true })
const FairReport = defineAsyncComponent(() => import('./FairReport.vue'))

const text = ref('')
const source = ref('')
const boardSize = ref<{ rows: number; columns: number } | null>(null)
const problem = ref('')
const over = ref(false)
const { share, run, cancel } = useJob((message) => (problem.value = message))
const boards = shallowRef<AuditedBoards | null>(null)
const picker = ref<InstanceType<typeof FilePicker>>()

const EXAMPLE = 'A B B C A C\nC A B A C B\n…'
watch(open, (isOpen) => {
  if (!isOpen) return cancel()
  text.value = source.value = problem.value = ''
  boards.value = null
  boardSize.value = null
})

async function audit(): Promise<void> {
  problem.value = ''
  const input = { text: text.value, size: boardSize.value ? { ...boardSize.value } : {} }
  const answer = await run((progress) => startJob('auditBoards', input, { progress }))
  if (answer?.ok) {
    boards.value = answer.value
    const { rows, columns } = answer.value.read.board
    boardSize.value = { rows, columns }
  } else if (answer) problem.value = problemLine(answer.problem)
}

async function take(files: Iterable<File> = []): Promise<void> {
  over.value = false
  const [file] = files
  if (!file) return
  const content = await textOf(file)
  if (!content.ok) {
    problem.value = `${file.name}: ${problemLine(content.problem)}`
    return
  }
  source.value = file.name
  text.value = content.value
  boards.value = null
  boardSize.value = null
  await audit()
}
function askForOthers(): void {
  boards.value = null
  text.value = source.value = problem.value = ''
}
/** A typed size is tried as soon as its product is the number of cells. */
function resize(side: 'rows' | 'columns', value: number): void {
  const cells = boards.value!.read.boards[0]!.length
  if (cells % value) {
    problem.value = `${cells} cells do not make ${value} ${side}`
    return
  }
  boardSize.value =
    side === 'rows' ? { rows: value, columns: cells / value } : { rows: cells / value, columns: value }
  void audit()
}
</script>

<template>
  <ModalDialog v-model="open" title="Boards of another program" :width="1040">
    <div
      class="audit"
      :class="{ over }"
      @dragover.prevent.stop="over = true"
      @dragleave.self="over = false"
      @drop.prevent.stop="take($event.dataTransfer?.files)"
    >
      <template v-if="!boards">
        <p class="soft">
          Paste boards that your own program dealt, or drop a file: a few thousand tell a lot. Accepted are
          JSON lines (<code>{"cells": […]}</code>
          or a plain list), CSV with one board per row, and plain text with one board per line, names
          separated by spaces.
        </p>
        <LongText
          v-model="text"
          v-model:name="source"
          class="data"
          label="Boards"
          :placeholder="EXAMPLE"
          :rows="9"
        />
      </template>
      <template v-else>
        <BoardsAsRead
          :read="boards.read"
          :count="boards.count"
          :source="source"
          :given="boardSize"
          @resize="resize"
        />
        <FairReport
          class="judged"
          :tally="boards.audit.tally"
          :report="boards.audit.report"
          claim="shuffled"
          :names="boards.read.names"
          :reason="boards.audit.reason?.message"
        />
      </template>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <div v-if="share !== null" class="going">
        <ElProgress :percentage="share * 100" :show-text="false" aria-label="Reading boards" />
        <ElButton class="btn" @click="cancel">Stop</ElButton>
      </div>
      <FilePicker ref="picker" label="File with boards" @take="take" />
    </div>
    <template #buttons>
      <ElButton class="btn" @click="picker?.choose()"><IconFile />Open a file</ElButton>
      <ElButton v-if="boards" class="btn" @click="askForOthers">Other boards</ElButton>
      <ElButton v-else class="btn main" :disabled="!text.trim() || share !== null" @click="audit">
        Check these boards
      </ElButton>
    </template>
  </ModalDialog>
</template>

<style scoped>
.audit {
  min-height: 300px;
  border: 2px solid transparent;
  border-radius: var(--round-card);
}
.audit.over {
  border: 2px dashed var(--lagoon);
}
.problem {
  margin-top: 12px;
}
.going {
  display: flex;
  align-items: center;
  gap: 12px;
  margin-top: 12px;
}
.el-progress {
  flex: 1;
  min-width: 120px;
}
</style>
