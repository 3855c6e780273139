<script setup lang="ts">
import { ElButton, ElSegmented } from 'element-plus'
import { computed, ref, watch } from 'vue'
import { countWords } from '../../../core/count-words.ts'
import { selectPairs, tagsOf } from '../../../core/deck/select.ts'
import type { Use } from '../../../core/settings/settings.ts'
import NestedRows from '../../parts/cards/NestedRows.vue'
import NumberWord from '../../parts/settings/NumberWord.vue'
import FaceView from '../../parts/cards/FaceView.vue'
import ModalDialog from '../../parts/look/ModalDialog.vue'
import { useBench } from '../../store/bench.ts'
import { isFirst, useNestedDecks } from './useNestedDecks.ts'

/**
 * Which part of the deck a level uses, chosen on the faces. Changes apply at once; each press is one undo step.
 * `needed` is how many pairs the board takes.
 */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ use: Use; needed: number }>()
const bench = useBench()

const pairs = computed(() => bench.game!.deck.pairs)
const selection = computed(() => new Set(selectPairs(pairs.value, props.use)))
const tags = computed(() => tagsOf(pairs.value))
type UseChoice = 'all' | 'nested' | 'tags' | 'range' | 'pairs'
const HOWS: { value: UseChoice; label: string }[] = [
  { value: 'all', label: 'the whole deck' },
  { value: 'nested', label: 'the first ones' },
  { value: 'tags', label: 'by tag' },
  { value: 'range', label: 'by position' },
  { value: 'pairs', label: 'one by one' },
]
/** chosen, although a range that begins with the deck's first pair is the same as the first ones */
const wantsRange = ref(false)
const how = computed<UseChoice>(() => {
  const { use } = props
  if (use === 'all') return 'all'
  if ('tags' in use) return 'tags'
  if ('pairs' in use) return 'pairs'
  return isFirst(use) && !wantsRange.value ? 'nested' : 'range'
})
const { nested, setFirst, nestAll } = useNestedDecks()
/** a range is set by its two ends; this is the first of them, while the second is still missing */
const anchor = ref<number | null>(null)
watch([open, how], () => (anchor.value = null))
watch(open, () => (wantsRange.value = false))

const set = (use: Use): void => bench.set('fill', { use }, 'choose the pairs', 'single')
const idsOf = (places: Iterable<number>): string[] =>
  [...places].sort((a, b) => a - b).map((place) => pairs.value[place]!.id)
function choose(next: UseChoice): void {
  wantsRange.value = next === 'range'
  if (next === 'all') set('all')
  else if (next === 'tags') set({ tags: tags.value.slice(0, 1) })
  else if (next === 'pairs') set({ pairs: idsOf(selection.value) })
  else set({ from: 1, to: Math.max(1, Math.min(pairs.value.length, props.needed)) })
}
function toggleTag(tag: string): void {
  const now = props.use !== 'all' && 'tags' in props.use ? props.use.tags : []
  set({ tags: now.includes(tag) ? now.filter((one) => one !== tag) : [...now, tag] })
}
/** A press on a face: an end of a range, or in or out of those chosen one by one. */
function press(place: number): void {
  if (how.value === 'range') {
    const other = anchor.value
    set({ from: Math.min(place, other ?? place) + 1, to: Math.max(place, other ?? place) + 1 })
    anchor.value = other === null ? place : null
    return
  }
  const next = new Set(selection.value)
  if (!next.delete(place)) next.add(place)
  set({ pairs: idsOf(next) })
}
const HINTS: Record<UseChoice, string> = {
  all: 'Every pair of the deck, including those you add later. Press a face to leave it out.',
  nested:
    'The first pairs of the deck. Levels that use more and more of them get harder with the same pairs.',
  tags: 'All pairs with one of the highlighted tags. Press a face to choose one by one from there.',
  range: 'A range of the deck, whatever it holds: press its first face and its last.',
  pairs: 'Press a face to take it in or leave it out.',
}
</script>

<template>
  <ModalDialog
    v-model="open"
    :title="bench.level ? 'Which pairs this level uses' : 'Which pairs are used'"
    :width="900"
  >
    <div class="head">
      <ElSegmented
        :model-value="how"
        :options="HOWS.filter(({ value }) => value !== 'tags' || tags.length > 0)"
        aria-label="Which part of the deck"
        @update:model-value="choose"
      />
      <span class="count" role="status"
        ><strong>{{ countWords(selection.size, 'pair') }}</strong> chosen, {{ needed }} needed</span
      >
    </div>
    <div v-if="how === 'tags'" class="tags" role="group" aria-label="Tags">
      <ElButton
        v-for="tag in tags"
        :key="tag"
        class="tag"
        :aria-pressed="use !== 'all' && 'tags' in use && use.tags.includes(tag)"
        @click="toggleTag(tag)"
      >
        {{ tag }}
      </ElButton>
    </div>
    <p class="soft hint">{{ anchor === null ? HINTS[how] : 'Now press the last one.' }}</p>
    <div v-if="how === 'nested'" class="firsts">
      <NestedRows v-slot="{ row }" :pairs="pairs" :rows="nested" :open="bench.rung">
        <NumberWord
          :model-value="row.first"
          :label="`First pairs of ${row.name}`"
          :bounds="[1, Math.max(1, pairs.length)]"
          @update:model-value="setFirst(row.id, $event)"
        />
      </NestedRows>
      <p v-if="!bench.level" class="soft">
        The house rules use the first
        <NumberWord
          :model-value="selection.size"
          label="First pairs of the house rules"
          :bounds="[1, Math.max(1, pairs.length)]"
          @update:model-value="set({ from: 1, to: $event })"
        />.
      </p>
      <ElButton class="btn" @click="nestAll">More on each level, up to the whole deck</ElButton>
    </div>
    <ul v-else class="faces" tabindex="-1">
      <li v-for="(pair, place) in pairs" :key="pair.id">
        <button
          class="face"
          :class="{ anchor: anchor === place }"
          type="button"
          :aria-pressed="selection.has(place)"
          :aria-label="`${place + 1}, ${pair.name}`"
          :data-tip="`${place + 1}: ${pair.name}`"
          @click="press(place)"
        >
          <span class="card"><FaceView :face="pair.a" :name="pair.name" /></span>
          <span v-if="pair.b" class="card twin"><FaceView :face="pair.b" :name="pair.name" /></span>
        </button>
      </li>
    </ul>
    <template #buttons>
      <ElButton class="btn main" @click="open = false">Done</ElButton>
    </template>
  </ModalDialog>
</template>

<style scoped>
.head {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 16px;
}
.tags {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 12px;
}
.tag {
  padding: 2px 12px;
  border: 1px solid var(--line);
  border-radius: 12px;
  background: var(--card);
  color: var(--ink);
  font: 600 14px/1.5 var(--body);
  cursor: pointer;
}
.tag[aria-pressed='true'] {
  border-color: var(--lagoon);
  background: var(--lagoon-pale);
  color: #0f5556;
}
.hint {
  margin: 12px 0 8px;
}
.firsts {
  height: min(440px, 50vh);
  overflow-y: auto;
}
.firsts .btn {
  margin-top: 12px;
}
.faces {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-content: start;
  height: min(440px, 50vh);
  margin: 0;
  padding: 6px;
  overflow-y: auto;
  list-style: none;
}
.face {
  display: flex;
  gap: 2px;
  padding: 5px;
  border: 2px solid transparent;
  border-radius: 9px;
  background: none;
  cursor: pointer;
}
.face:hover {
  background: var(--sand);
}
.face[aria-pressed='true'] {
  border-color: var(--lagoon);
  background: var(--lagoon-pale);
}
.face[aria-pressed='false'] .card {
  opacity: 0.5;
  filter: saturate(0.3);
}
.face.anchor {
  border-color: var(--apricot);
}
.card {
  width: 52px;
  height: 62px;
  border-radius: 6px;
  background: var(--card);
  box-shadow: 0 0 0 1px var(--line);
}
</style>
