<script setup lang="ts">
import { ElButton, ElCheckbox } from 'element-plus'
import IconFile from '~icons/ph/upload-simple'
import { computed, ref, watch } from 'vue'
import { countWords } from '../../../../core/count-words.ts'
import { wordPairs, type ColumnPart, type WordPairs } from '../../../../core/files/words-file.ts'
import type { Pair } from '../../../../core/deck/pair.ts'
import { BOUNDS } from '../../../../core/settings/bounds.ts'
import { problemLine } from '../../../../core/result.ts'
import FaceView from '../../../parts/cards/FaceView.vue'
import FilePicker from '../../../parts/files/FilePicker.vue'
import LongText from '../../../parts/files/LongText.vue'
import ModalDialog from '../../../parts/look/ModalDialog.vue'
import ChoiceWord from '../../../parts/settings/ChoiceWord.vue'
import { anyTextOf } from '../../../parts/files/text-of.ts'
import WordColumns from './WordColumns.vue'
import { addWords } from '../edits/useDeckEdits.ts'

/**
 * Pairs from columns of words: typed, pasted, or opened from a file; previewed before they are added. `there`: the
 * pairs that the deck has; `fresh`: they start a game of their own.
 */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ pasted: string; file?: File | null; there: readonly Pair[]; fresh?: boolean }>()
const emit = defineEmits<{ add: [pairs: Pair[]] }>()
const text = ref('')
/** the file that it was read from */
const name = ref('')
const header = ref<boolean | null>(null)
/** the uses that the author chose for columns, by their place */
const parts = ref<ColumnPart[]>([])
const oneFaced = ref<'identical' | 'leave-out'>('identical')
/** the encoding of a file that is not UTF-8 */
const encoding = ref('')
const problem = ref('')
const picker = ref<InstanceType<typeof FilePicker>>()

const SHOWN = 12
const HINT = 'escapement = lets the wheel go tick by tick\nfusee = evens out the pull of the spring'
const SIGNS: Record<string, string> = {
  '\t': 'tabs',
  ';': 'semicolons',
  '|': 'vertical bars',
  '=': 'equals signs',
  ',': 'commas',
}

const wordList = computed<WordPairs>(() =>
  wordPairs(
    text.value,
    props.there.map(({ id }) => id),
    {
      room: BOUNDS.pairs[1] - props.there.length,
      oneFaced: oneFaced.value,
      ...(parts.value.length ? { parts: parts.value } : {}),
      ...(header.value === null ? {} : { header: header.value }),
    },
  ),
)
function setPart(column: number, part: ColumnPart): void {
  const now = wordList.value.columns.map((one) => one.part)
  // a face can be only one column; two with the same use swap
  const other = part === 'nothing' || part === 'tags' ? -1 : now.indexOf(part)
  if (other >= 0) now[other] = now[column]!
  now[column] = part
  parts.value = now
}
const ONE_FACED: ['identical' | 'leave-out', string][] = [
  ['identical', 'become identical twins'],
  ['leave-out', 'are left out'],
]
const count = computed(() => wordList.value.pairs.length)
const related = computed(() => wordList.value.pairs.filter(({ b }) => b).length)
const asRead = computed(() => {
  if (!count.value) return ''
  const kinds = [
    related.value ? `${related.value} related` : '',
    related.value < count.value ? `${count.value - related.value} identical` : '',
  ]
  return `${kinds.filter(Boolean).join(' and ')}${related.value ? `; columns separated by ${SIGNS[wordList.value.separator]}` : ''}.`
})

watch(
  open,
  (isOpen) => {
    text.value = isOpen ? props.pasted : ''
    forget()
    oneFaced.value = 'identical'
    if (isOpen && props.file) void openFile([props.file])
  },
  { immediate: true },
)
function forget(): void {
  name.value = ''
  header.value = null
  parts.value = []
  encoding.value = ''
  problem.value = ''
}

async function openFile([file]: [File, ...File[]]): Promise<void> {
  const fileText = await anyTextOf(file)
  if (!fileText.ok) {
    problem.value = `${file.name}: ${problemLine(fileText.problem)}`
    return
  }
  forget()
  const { text: content } = fileText.value
  encoding.value = fileText.value.encoding === 'UTF-8' ? '' : fileText.value.encoding
  name.value = file.name
  text.value = content
}
function add(): void {
  emit('add', wordList.value.pairs)
  open.value = false
}
</script>

<template>
  <ModalDialog v-model="open" :title="fresh ? 'A game of words' : 'Words'" :width="760">
    <p id="words-help" class="soft">
      One pair a line: a word and its twin, with a tab, comma, semicolon or = between them, and more columns
      if you like. CSV files can be opened too.
    </p>
    <LongText
      v-model="text"
      v-model:name="name"
      label="Words"
      aria-describedby="words-help"
      :placeholder="HINT"
      :rows="7"
    />
    <ElCheckbox
      v-if="count || wordList.header"
      class="header"
      :model-value="wordList.header"
      @update:model-value="header = Boolean($event)"
    >
      The first row names the columns
    </ElCheckbox>
    <p v-if="encoding" class="note" role="status">
      This file is not UTF-8; it was read as {{ encoding }}. Check the accents before you add it.
    </p>
    <WordColumns v-if="wordList.columns.length > 1" :columns="wordList.columns" @part="setPart" />
    <p v-if="wordList.oneFaced" class="note">
      {{ countWords(wordList.oneFaced, 'row has', 'rows have') }} no second face; such rows
      <ChoiceWord v-model="oneFaced" label="Rows without a second face" :choices="ONE_FACED" />.
    </p>
    <p v-if="count" class="soft">{{ asRead }}</p>
    <ul v-if="count" class="preview" aria-label="Pairs to add">
      <li v-for="pair in wordList.pairs.slice(0, SHOWN)" :key="pair.id">
        <span class="card"><FaceView :face="pair.a" /></span>
        <span class="card"><FaceView :face="pair.b ?? pair.a" /></span>
      </li>
      <li v-if="count > SHOWN" class="soft">and {{ count - SHOWN }} more</li>
    </ul>
    <p v-if="problem" class="problems" role="alert">{{ problem }}</p>
    <div v-if="wordList.leftOut" role="alert">
      <ul class="problems">
        <li v-for="line in wordList.problems.slice(0, 4)" :key="line">{{ line }}</li>
        <li v-if="wordList.problems.length > 4">
          {{ countWords(wordList.leftOut, 'row is', 'rows are') }} left out in all
        </li>
      </ul>
    </div>
    <FilePicker ref="picker" label="File with words" accept=".csv,.tsv,.txt,text/*" @take="openFile" />
    <template #buttons>
      <ElButton class="btn" @click="picker?.choose()"><IconFile />Open a file</ElButton>
      <ElButton class="btn" @click="open = false">Cancel</ElButton>
      <ElButton class="btn main" :disabled="!count" @click="add">
        {{ fresh ? `Make a game of ${countWords(count, 'pair')}` : addWords(count) }}
      </ElButton>
    </template>
  </ModalDialog>
</template>

<style scoped>
.note {
  margin: 10px 0 0;
}
.header {
  display: flex;
  margin: 12px 0 6px;
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
