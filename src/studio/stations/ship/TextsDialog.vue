<script setup lang="ts">
import { ElButton, ElSegmented } from 'element-plus'
import IconExport from '~icons/ph/export'
import IconImport from '~icons/ph/upload-simple'
import { useVirtualizer } from '@tanstack/vue-virtual'
import { computed, ref } from 'vue'
import { readTexts, textsCsv, textsJson } from '../../../core/files/texts-file.ts'
import { fileStem } from '../../../core/game/names.ts'
import { saidRows, type SaidRow } from '../../../core/game/message-table.ts'
import { problemLine } from '../../../core/result.ts'
import { languageName } from '../../../core/texts/languages.ts'
import FilePicker from '../../parts/files/FilePicker.vue'
import ModalDialog from '../../parts/look/ModalDialog.vue'
import SearchField from '../../parts/look/SearchField.vue'
import { download } from '../../parts/files/download.ts'
import { useDone } from '../../parts/toast/useDone.ts'
import { useToasts } from '../../parts/toast/useToasts.ts'
import { useBench } from '../../store/bench.ts'
import SaidField from './SaidField.vue'
import { useSaid } from './useSaid.ts'

/** All texts and names of a game in all its languages, as a table; exported for translators, and imported again. */
const open = defineModel<boolean>({ required: true })
const bench = useBench()
const { say } = useToasts()
const tell = useDone()
const { languages, words, ready, mayBeSaid, own, before, write } = useSaid()
const picker = ref<InstanceType<typeof FilePicker>>()

const group = ref<'messages' | 'names' | 'missing'>('messages')
const GROUPS = [
  { value: 'messages', label: 'Messages' },
  { value: 'names', label: 'Names' },
  { value: 'missing', label: 'Names that are missing' },
]
const sought = ref('')
const isMissing = (id: string): boolean =>
  languages.value.some((language) => mayBeSaid(language, id) && !own(language, id))
/** Everything that stands in a row's cells; the names of the game itself stand at its head. */
const cellsOf = (id: string, kind: SaidRow['group']): string[] =>
  languages.value.flatMap((language) => [
    own(language, id),
    ...(kind === 'messages' && ready.value ? [before(language, id)] : []),
  ])
const rows = computed(() => {
  const words = sought.value.trim().toLowerCase()
  return saidRows(bench.game!).filter(
    ({ id, what, group: kind }) =>
      (group.value === 'missing' ? kind === 'names' && isMissing(id) : kind === group.value) &&
      (!words || [what, ...cellsOf(id, kind)].some((text) => text.toLowerCase().includes(words))),
  )
})

const body = ref<HTMLElement | null>(null)
const ROW = 40
const list = useVirtualizer(
  computed(() => ({
    count: rows.value.length,
    getScrollElement: () => body.value,
    estimateSize: () => ROW,
    getItemKey: (i: number) => rows.value[i]!.id,
    overscan: 10,
  })),
)
const columns = computed(() => `200px repeat(${languages.value.length}, minmax(190px, 1fr))`)

function exported(kind: 'csv' | 'json'): void {
  const game = bench.game!
  const text = kind === 'csv' ? `\ufeff${textsCsv(game, words.value)}` : textsJson(game, words.value)
  download(`${fileStem(game)}.texts.${kind}`, text, kind === 'csv' ? 'text/csv' : 'application/json')
}
async function imported([file]: [File, ...File[]]): Promise<void> {
  const game = bench.game!
  const read = readTexts(await file.text(), game, words.value)
  if (!read.ok) return say(`${file.name}: ${problemLine(read.problem)}`, { tone: 'wrong' })
  bench.replace(read.value, `import ${file.name}`)
  tell(`Texts of ${file.name} are in the game`)
}
</script>

<template>
  <ModalDialog v-model="open" title="Texts and names" :width="1180">
    <div class="tools">
      <ElSegmented v-model="group" :options="GROUPS" aria-label="Which texts" size="small" />
      <SearchField v-model="sought" label="Search texts" placeholder="Search texts" />
      <span class="space" />
      <ElButton class="btn" @click="exported('csv')"><IconExport />Export CSV</ElButton>
      <ElButton class="btn" @click="exported('json')"><IconExport />Export JSON</ElButton>
      <ElButton class="btn" @click="picker!.choose()"><IconImport />Import…</ElButton>
      <FilePicker ref="picker" label="Texts to import" accept=".csv,.json,.txt" @take="imported" />
    </div>
    <div
      v-if="ready"
      ref="body"
      class="table"
      role="table"
      :aria-rowcount="rows.length + 1"
      aria-label="Texts"
    >
      <div class="row head" role="row" :style="{ gridTemplateColumns: columns }">
        <span role="columnheader">text</span>
        <span v-for="language in languages" :key="language" role="columnheader">{{
          languageName(language)
        }}</span>
      </div>
      <p v-if="!rows.length" class="soft none">
        {{
          sought ? 'No text has these words.' : 'Nothing is missing: every name is there in every language.'
        }}
      </p>
      <div v-else role="rowgroup" class="all" :style="{ height: `${list.getTotalSize()}px` }">
        <div
          v-for="{ index, start } in list.getVirtualItems()"
          :key="rows[index]!.id"
          :ref="(row) => list.measureElement(row as Element | null)"
          class="row"
          role="row"
          :data-index="index"
          :aria-rowindex="index + 2"
          :style="{ gridTemplateColumns: columns, transform: `translateY(${start}px)` }"
        >
          <span role="rowheader">{{ rows[index]!.what }}</span>
          <span v-for="language in languages" :key="language" role="cell">
            <SaidField
              v-if="mayBeSaid(language, rows[index]!.id)"
              :model-value="own(language, rows[index]!.id)"
              :language="language"
              :before="before(language, rows[index]!.id)"
              :what="rows[index]!.what"
              :longest="rows[index]!.longest"
              @change="(text) => write(language, rows[index]!.id, text)"
            />
            <span v-else class="soft">{{
              rows[index]!.group === 'names' ? before(language, rows[index]!.id) : '–'
            }}</span>
          </span>
        </div>
      </div>
    </div>
    <p class="soft">
      Grey: what is said until you write your own. Braces are filled in: {n} becomes a number.
    </p>
  </ModalDialog>
</template>

<style scoped>
.tools {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
.space {
  flex: 1;
}
.table {
  height: min(520px, calc(100vh - 280px));
  margin: 12px 0 8px;
  overflow: auto;
  border: 1px solid var(--line);
  border-radius: var(--round);
}
.all {
  position: relative;
}
.row {
  display: grid;
  gap: 0 8px;
  min-width: 100%;
  width: max-content;
  padding: 3px 10px;
  border-bottom: 1px solid var(--sand);
}
.all .row {
  position: absolute;
  top: 0;
  left: 0;
}
.head {
  position: sticky;
  top: 0;
  z-index: 1;
  background: var(--sand);
  font-size: 14px;
  font-weight: 600;
}
.row > span {
  min-width: 0;
  overflow-wrap: anywhere;
}
[role='rowheader'],
.row .soft {
  padding: 5px 0;
  font-size: 14px;
}
.none {
  padding: 16px;
}
</style>
