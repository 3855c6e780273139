<script setup lang="ts">
import { ElButton } from 'element-plus'
import { encode } from 'js-base64'
import { computed, ref, watch } from 'vue'
import {
  SERIES,
  SERIES_MOST,
  SERIES_TWINS,
  seriesPairs,
  type SeriesKind,
} from '../../../../core/deck/series.ts'
import type { Pair } from '../../../../core/deck/pair.ts'
import FaceView from '../../../parts/cards/FaceView.vue'
import ModalDialog from '../../../parts/look/ModalDialog.vue'
import ChoiceWord from '../../../parts/settings/ChoiceWord.vue'
import NumberWord from '../../../parts/settings/NumberWord.vue'
import { useBench } from '../../../store/bench.ts'
import { addWords } from '../edits/useDeckEdits.ts'

/** Pairs that need no art: a run of letters, numbers, colours, dots or shapes. */
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ add: [pairs: Pair[]] }>()
const bench = useBench()

const kind = ref<SeriesKind>('letters')
const twin = ref(0)
const from = ref(1)
const to = ref(12)
const dataUrl = (svg: string): string => `data:image/svg+xml;base64,${encode(svg)}`
const make = (of: SeriesKind, way: number, first: number, last: number): Pair[] =>
  seriesPairs(
    of,
    way,
    first,
    last,
    dataUrl,
    bench.game!.deck.pairs.map(({ id }) => id),
  )
const most = computed(() => make(kind.value, twin.value, 1, SERIES_MOST[kind.value]).length)
watch([kind, twin], () => {
  if (twin.value >= SERIES_TWINS[kind.value].length) twin.value = 0
  from.value = 1
  to.value = Math.min(12, most.value)
})
const pairs = computed(() => make(kind.value, twin.value, from.value, to.value))
/** The unit in which a series counts. */
const ONE: Record<SeriesKind, string> = {
  letters: 'letter',
  numbers: 'number',
  colours: 'colour',
  dots: 'number',
  shapes: 'shape',
}
/** The letters of a range, each by its number, as choices. */
const letters = (first: number, last: number): (readonly [number, string])[] =>
  make('letters', 0, first, last).map(({ name }, i) => [first + i, name])
const samples = SERIES.map((one) => ({ kind: one, pair: make(one, 0, 3, 3)[0]! }))

function add(): void {
  emit('add', pairs.value)
  open.value = false
}
</script>

<template>
  <ModalDialog v-model="open" title="Series" :width="760">
    <div class="kinds" role="group" aria-label="Kind of series">
      <ElButton
        v-for="{ kind: one, pair } in samples"
        :key="one"
        class="kind"
        :aria-pressed="one === kind"
        @click="kind = one"
      >
        <span class="card"><FaceView :face="pair.a" /></span>{{ one }}
      </ElButton>
    </div>
    <p class="sentence">
      From {{ ONE[kind] }}
      <template v-if="kind === 'letters'">
        <ChoiceWord v-model="from" label="From" :choices="letters(1, to)" /> to
        <ChoiceWord v-model="to" label="To" :choices="letters(from, most)" />,
      </template>
      <template v-else>
        <NumberWord v-model="from" label="From" :bounds="[1, to]" /> to
        <NumberWord v-model="to" label="To" :bounds="[from, most]" />,
      </template>
      each with
      <ChoiceWord
        v-model="twin"
        label="What the twin shows"
        :choices="SERIES_TWINS[kind].map((words, i) => [i, words] as const)"
      />
      as its twin.
    </p>
    <ul class="preview" aria-label="Pairs to add">
      <li v-for="pair in pairs" :key="pair.id">
        <span class="card"><FaceView :face="pair.a" /></span>
        <span v-if="pair.b" class="card"><FaceView :face="pair.b" /></span>
      </li>
    </ul>
    <template #buttons>
      <ElButton class="btn" @click="open = false">Cancel</ElButton>
      <ElButton class="btn main" :disabled="!pairs.length" @click="add">
        {{ addWords(pairs.length) }}
      </ElButton>
    </template>
  </ModalDialog>
</template>

<style scoped>
.kinds {
  display: flex;
  gap: 12px;
}
.kind {
  display: grid;
  flex: 1;
  justify-items: center;
  gap: 8px;
  padding: 12px 8px 8px;
  border: 1px solid var(--line);
  border-radius: var(--round-card);
  background: var(--card);
  color: inherit;
  font: 600 15px var(--body);
  cursor: pointer;
}
.kind:hover {
  background: #fff;
}
.kind[aria-pressed='true'] {
  border-color: var(--lagoon);
  background: var(--lagoon-pale);
  box-shadow: 0 0 0 1px var(--lagoon);
}
.card {
  width: 56px;
  height: 67px;
  border-radius: 7px;
  background: var(--card);
  box-shadow: 0 0 0 1px var(--line);
}
.sentence {
  margin: 18px 0 12px;
  font-size: 16px;
}
.preview {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-content: start;
  height: 250px;
  margin: 0;
  padding: 4px;
  overflow-y: auto;
  list-style: none;
}
.preview li {
  display: flex;
  gap: 2px;
}
</style>
