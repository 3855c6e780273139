<script setup lang="ts">
import { ElButton, ElCheckbox, ElInput } from 'element-plus'
import IconFile from '~icons/ph/upload-simple'
import { computed, ref, shallowRef, watch } from 'vue'
import { wordPairs, type WordPairs } from '../../../core/files/words-file.ts'
import type { Pair } from '../../../core/deck/pair.ts'
import { BOUNDS } from '../../../core/settings/settings.ts'
import { problemLine } from '../../../core/result.ts'
import FaceView from '../../parts/cards/FaceView.vue'
import { useBench } from '../../store/bench.ts'
import FilePicker from '../../parts/look/FilePicker.vue'
import ModalDialog from '../../parts/look/ModalDialog.vue'
import { textOf } from '../../parts/look/text-of.ts'

/** Pairs from two columns of words: typed, pasted, or opened from a file; seen before they are added. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ pasted: string }>()
const emit = defineEmits<{ add: [pairs: Pair[]] }>()
const bench = useBench()
const text = ref('')
/** a file too long to be edited here stays out of the field */
const opened = shallowRef<{ name: string; text: string } | null>(null)
const header = ref<boolean | null>(null)
const problem = ref('')
const picker = ref<InstanceType<typeof FilePicker>>()

const TOO_LONG_TO_EDIT = 50_000
const SHOWN = 12
const HINT = 'escapement = lets the wheel go tick by tick\nfusee = evens out the pull of the spring'
const SIGNS: Record<string, string> = {
  '\t': 'tabs',
  ';': 'semicolons',
  '|': 'vertical bars',
  '=': 'equals signs',
  ',': 'commas',
}

const source = computed(() => opened.value?.text ?? text.value)
const read = computed<WordPairs>(() => {
  const { pairs } = bench.game!.deck
  return wordPairs(
    source.value,
    pairs.map(({ id }) => id),
    {
      room: BOUNDS.pairs[1] - pairs.length,
      ...(header.value === null ? {} : { header: header.value }),
    },
  )
})
const count = computed(() => read.value.pairs.length)
const related = computed(() => read.value.pairs.filter(({ b }) => b).length)
const asRead = computed(() => {
  if (!count.value) return ''
  const kinds = [
    related.value ? `${related.value} related` : '',
    related.value < count.value ? `${count.value - related.value} identical, with one column` : '',
  ]
  return `${kinds.filter(Boolean).join(' and ')}${related.value ? `; columns separated by ${SIGNS[read.value.separator]}` : ''}.`
})

watch(open, (isOpen) => {
  text.value = isOpen ? props.pasted : ''
  opened.value = null
  header.value = null
  problem.value = ''
})

async function openFile([file]: [File, ...File[]]): Promise<void> {
  const read = await textOf(file)
  if (!read.ok) {
    problem.value = `${file.name}: ${problemLine(read.problem)}`
    return
  }
  const content = read.value
  problem.value = ''
  header.value = null
  if (content.length > TOO_LONG_TO_EDIT) opened.value = { name: file.name, text: content }
  else {
    opened.value = null
    text.value = content
  }
}
function add(): void {
  emit('add', read.value.pairs)
  open.value = false
}
</script>

<template>
  <ModalDialog v-model="open" title="Words" :width="760">
    <p id="words-help" class="soft">
      One pair a line: a word and its twin, with a tab, comma, semicolon or = between them. A line with one
      word makes identical twins. CSV files can be opened too.
    </p>
    <p v-if="opened" class="opened">
      {{ opened.name }}, {{ opened.text.length.toLocaleString('en') }} characters
      <ElButton class="btn" @click="opened = null">Type instead</ElButton>
    </p>
    <ElInput
      v-else
      v-model="text"
      type="textarea"
      :rows="7"
      aria-label="Words"
      aria-describedby="words-help"
      :placeholder="HINT"
      autofocus
    />
    <ElCheckbox
      v-if="count || read.header"
      class="header"
      :model-value="read.header !== null"
      @update:model-value="header = Boolean($event)"
    >
      The first row names the columns{{ read.header ? `: ${read.header.filter(Boolean).join(' and ')}` : '' }}
    </ElCheckbox>
    <p v-if="count" class="soft">{{ asRead }}</p>
    <ul v-if="count" class="preview" aria-label="Pairs to be added">
      <li v-for="pair in read.pairs.slice(0, SHOWN)" :key="pair.id">
        <span class="card"><FaceView :face="pair.a" /></span>
        <span class="card"><FaceView :face="pair.b ?? pair.a" /></span>
      </li>
      <li v-if="count > SHOWN" class="soft">and {{ count - SHOWN }} more</li>
    </ul>
    <p v-if="problem" class="problems" role="alert">{{ problem }}</p>
    <div v-if="read.leftOut" role="alert">
      <ul class="problems">
        <li v-for="line in read.problems.slice(0, 4)" :key="line">{{ line }}</li>
        <li v-if="read.problems.length > 4">
          {{ read.leftOut.toLocaleString('en') }} rows are left out in all
        </li>
      </ul>
    </div>
    <FilePicker ref="picker" label="File with words" accept=".csv,.tsv,.txt,text/*" @take="openFile" />
    <template #buttons>
      <ElButton class="btn" @click="picker?.choose()"><IconFile />Open a file</ElButton>
      <ElButton class="btn" @click="open = false">Cancel</ElButton>
      <ElButton class="btn main" :disabled="!count" @click="add">
        {{ count === 1 ? 'Add 1 pair' : `Add ${count} pairs` }}
      </ElButton>
    </template>
  </ModalDialog>
</template>

<style scoped>
.opened {
  display: flex;
  align-items: center;
  gap: 12px;
  margin: 10px 0;
}
.header {
  display: flex;
  align-items: center;
  gap: 10px;
  margin-bottom: 6px;
}
.header input {
  width: 18px;
  height: 18px;
  accent-color: var(--lagoon);
}
.preview {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 14px;
  margin: 10px 0 0;
  padding: 0;
  list-style: none;
}
.preview li {
  display: flex;
}
.card {
  width: 62px;
  height: 74px;
  margin-right: 3px;
  border-radius: 7px;
  box-shadow:
    0 0 0 1px var(--line),
    0 2px 6px #23243f1f;
  transform: rotate(-3deg);
}
.card + .card {
  transform: rotate(3deg);
}
.problems {
  margin: 12px 0 0;
  padding-left: 20px;
  color: var(--brick);
}
</style>
