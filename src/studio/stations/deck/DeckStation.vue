<script setup lang="ts">
import { ElButton, ElEmpty, ElSegmented } from 'element-plus'
import IconPairs from '~icons/ph/cards'
import IconSearch from '~icons/ph/magnifying-glass'
import { computed, nextTick, ref } from 'vue'
import { countWords } from '../../../core/count-words.ts'
import { VISIONS, type Vision } from '../../../core/deck/vision.ts'
import { tagsOf } from '../../../core/deck/select.ts'
import { carriesFiles } from '../../parts/files/stray-files.ts'
import SearchField from '../../parts/look/SearchField.vue'
import ChoiceWord from '../../parts/settings/ChoiceWord.vue'
import { useBench } from '../../store/bench.ts'
import { sameMembers } from '../../store/same.ts'
import { useToasts } from '../../parts/toast/useToasts.ts'
import BackDesigner from '../../parts/cards/BackDesigner.vue'
import DeckFindings from './DeckFindings.vue'
import DeckWays from './DeckWays.vue'
import { droppedFiles } from './dialogs/dropped-files.ts'
import LightTable from './light-table/LightTable.vue'
import LikenessAside from './LikenessAside.vue'
import ManySlip from './ManySlip.vue'
import PairSlip from './PairSlip.vue'
import type { Back } from '../../../core/settings/back.ts'
import { smallestCard } from '../../parts/cards/smallest-card.ts'
import { useDeckEdits } from './edits/useDeckEdits.ts'
import { useLookAlikes } from './light-table/useLookAlikes.ts'
import { usePairClipboard } from './usePairClipboard.ts'
import { useSelection } from './light-table/useSelection.ts'

/** the same value at every drawing: a new one makes the control measure itself anew, and with it the page */
const EYES = [...VISIONS]
const bench = useBench()
const { say } = useToasts()
const query = ref('')
const tag = ref('')
const vision = ref<Vision>('everyone')
const light = ref<InstanceType<typeof LightTable>>()
const ways = ref<InstanceType<typeof DeckWays>>()
const dropping = ref(false)

const pairs = computed(() => bench.game!.deck.pairs)
/** The choice of a tag; the same value while the tags stay the same: a deck may have hundreds. */
const tagChoices = computed<(readonly [string, string])[]>((before) => {
  const tags = tagsOf(pairs.value)
  const words = before?.slice(1).map(([word]) => word) ?? []
  return before && sameMembers(words, tags)
    ? before
    : [['', 'every tag'], ...tags.map((word) => [word, word] as const)]
})
const visible = computed(() => {
  const words = query.value.trim().toLowerCase()
  return pairs.value.filter(
    ({ name, tags: own = [] }) =>
      (!tag.value || own.includes(tag.value)) &&
      (!words || [name, ...own].some((word) => word.toLowerCase().includes(words))),
  )
})
const whole = computed(() => visible.value.length === pairs.value.length)
const selection = useSelection(computed(() => visible.value.map(({ id }) => id)))
const selectionPairs = computed(() => {
  const ids = new Set(selection.inOrder.value)
  return pairs.value.filter(({ id }) => ids.has(id))
})

const { ties, progress, threshold } = useLookAlikes(() => bench.game!)
const seenTies = computed(() =>
  ties.value
    .filter(({ likeness }) => likeness[vision.value] >= threshold.value)
    .sort((a, b) => b.likeness[vision.value] - a.likeness[vision.value]),
)
const pairTies = computed(() => seenTies.value.filter(({ one }) => one !== null))

const changeBack = (back: Back, about: string | null): void =>
  bench.edit('change the back', (game) => void (game.deck.back = back), about)

const deck = useDeckEdits(selection, visible, () => (query.value = tag.value = ''))
async function remove(label?: string): Promise<void> {
  // the next tile gets the focus before the others go: if the focus goes with its tile, the page is laid out twice
  const next = deck.nextChosen()
  light.value?.focusOn(next)
  await nextTick()
  deck.remove(label, next)
  void light.value?.focusLead()
}
function step(by: number): void {
  if (!whole.value) return say('Show the whole deck to change its order')
  deck.step(by)
  void light.value?.focusLead()
}
const clipboard = usePairClipboard({
  chosen: () => selectionPairs.value,
  remove,
  add: deck.add,
  files: (files) => ways.value?.takeFiles(files),
  words: (text) => ways.value?.takeWords(text),
})
async function drop(event: DragEvent): Promise<void> {
  dropping.value = false
  if (event.dataTransfer) ways.value?.takeFiles(await droppedFiles(event.dataTransfer))
}
</script>

<template>
  <div
    class="deck"
    @dragover.prevent="dropping = carriesFiles($event)"
    @drop.prevent="drop"
    @dragleave.self="dropping = false"
  >
    <section class="left" aria-labelledby="light-table">
      <header>
        <h2 id="light-table">Light table</h2>
        <span class="soft count">{{
          whole
            ? countWords(pairs.length, 'pair')
            : `${visible.length} of ${countWords(pairs.length, 'pair')}`
        }}</span>
        <SearchField v-model="query" label="Search by name or tag" placeholder="name or tag" />
        <ChoiceWord
          v-if="tagChoices.length > 1"
          v-model="tag"
          label="Only pairs with this tag"
          :choices="tagChoices"
        />
        <span class="seen">
          <span id="seen-label" class="soft">seen as</span>
          <ElSegmented v-model="vision" :options="EYES" aria-labelledby="seen-label" size="small" />
        </span>
      </header>
      <LightTable
        ref="light"
        :class="{ dropping }"
        :pairs="visible"
        :selection="selection"
        :ties="pairTies"
        :vision="vision"
        :whole="whole"
        @move="deck.move"
        @step="step"
        @remove="remove()"
      >
        <ElEmpty v-if="pairs.length === 0" class="empty">
          <template #image><IconPairs aria-hidden="true" /></template>
          <template #description>
            <strong>No pairs yet.</strong> Add pictures from the library, drop images here, cut a sheet, paste
            words, or make a series.
          </template>
        </ElEmpty>
        <ElEmpty v-else-if="visible.length === 0" class="empty">
          <template #image><IconSearch aria-hidden="true" /></template>
          <template #description>No pair has the name or tag "{{ query || tag }}".</template>
          <ElButton class="btn" @click="query = tag = ''">Show all</ElButton>
        </ElEmpty>
      </LightTable>
      <DeckWays ref="ways" @add="deck.add" @paste="clipboard.paste" />
    </section>
    <aside class="right" aria-label="Slip">
      <PairSlip
        v-if="selectionPairs.length === 1"
        :pair="selectionPairs[0]!"
        @remove="remove()"
        @move="step"
        @double="deck.double"
      />
      <ManySlip
        v-else-if="selectionPairs.length > 1"
        :pairs="selectionPairs"
        @remove="remove()"
        @step="step"
        @double="deck.double"
        @copy="clipboard.copy"
        @cut="clipboard.cut"
      />
      <section v-else class="back" aria-labelledby="back-title">
        <h2 id="back-title">The back</h2>
        <p class="soft">What every card shows while it is face down.</p>
        <BackDesigner :back="bench.game!.deck.back" @change="changeBack" />
      </section>
      <LikenessAside
        v-model:threshold="threshold"
        :ties="seenTies"
        :chosen="selectionPairs.length === 1 ? selectionPairs[0]!.id : null"
        :progress="progress"
        :vision="vision"
        :size="smallestCard(bench.game!).width"
        @choose="selection.only"
      />
      <DeckFindings :ties="ties" :seen="pairTies" @choose="selection.these" />
      <ElButton v-if="selectionPairs.length" class="btn to-back" @click="selection.only(null)">
        Design the back
      </ElButton>
    </aside>
  </div>
</template>

<style scoped>
.back h2 {
  font-size: 20px;
}
.deck {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  height: 100%;
}
.left {
  display: grid;
  grid-template: auto minmax(0, 1fr) auto / minmax(0, 1fr);
  gap: 12px;
  min-height: 0;
  padding: 14px 20px;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
}
h2,
.count {
  white-space: nowrap;
}
.seen {
  display: flex;
  align-items: center;
  gap: 8px;
  margin-left: auto;
  white-space: nowrap;
}
.dropping {
  border: 2px dashed var(--lagoon);
}
.empty {
  position: absolute;
  inset: 0;
}
.right {
  overflow-y: auto;
  padding: 16px 20px 24px;
  border-left: 1px solid var(--line);
}
.to-back {
  width: 100%;
  margin-top: 16px;
}
@media (max-width: 760px) {
  .deck {
    grid-template: max-content max-content / minmax(0, 1fr);
    overflow-y: auto;
  }
  .left {
    grid-template-rows: auto 60vh auto;
  }
}
</style>
