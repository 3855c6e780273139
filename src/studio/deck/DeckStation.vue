<script setup lang="ts">
import IconFile from '~icons/ph/upload-simple'
import IconPaste from '~icons/ph/clipboard-text'
import IconPictures from '~icons/ph/images-square'
import IconSearch from '~icons/ph/magnifying-glass'
import IconSeries from '~icons/ph/list-numbers'
import IconSheet from '~icons/ph/grid-nine'
import IconWords from '~icons/ph/list-dashes'
import { ElSegmented } from 'element-plus'
import 'element-plus/theme-chalk/el-segmented.css'
import { computed, ref } from 'vue'
import { duplicated, moved, movedBy, withoutPairs, withPairs } from '../../core/deck/edit.ts'
import { VISIONS, type Vision } from '../../core/deck/vision.ts'
import type { Finding } from '../../core/game/findings.ts'
import type { Pair } from '../../core/game/game.ts'
import { BOUNDS } from '../../core/game/settings.ts'
import FindingsList from '../findings/FindingsList.vue'
import ChoiceWord from '../settings/ChoiceWord.vue'
import { useBench } from '../store/bench.ts'
import { useDone } from '../toast/useDone.ts'
import { useToasts } from '../toast/useToasts.ts'
import BackDesigner from './BackDesigner.vue'
import { droppedFiles } from './dropped-files.ts'
import ImagesDialog from './ImagesDialog.vue'
import LightTable from './LightTable.vue'
import LikenessAside from './LikenessAside.vue'
import ManySlip from './ManySlip.vue'
import PairSlip from './PairSlip.vue'
import PicturePicker from './PicturePicker.vue'
import SeriesDialog from './SeriesDialog.vue'
import SheetDialog from './SheetDialog.vue'
import { smallestCard } from './smallest-card.ts'
import { useLookAlikes } from './useLookAlikes.ts'
import { usePairClipboard } from './usePairClipboard.ts'
import { useSelection } from './useSelection.ts'
import WordsDialog from './WordsDialog.vue'

const bench = useBench()
const { say } = useToasts()
const done = useDone()
const query = ref('')
const tag = ref('')
const vision = ref<Vision>('everyone')
const way = ref<'pictures' | 'images' | 'sheet' | 'words' | 'series' | null>(null)
const light = ref<InstanceType<typeof LightTable>>()
const dropping = ref(false)
const pastedWords = ref('')
const images = ref<File[]>([])

const pairs = computed(() => bench.game!.deck.pairs)
const tags = computed(() => [...new Set(pairs.value.flatMap((pair) => pair.tags ?? []))].sort())
const shown = computed(() => {
  const wanted = query.value.trim().toLowerCase()
  return pairs.value.filter(
    ({ name, tags: own = [] }) =>
      (!tag.value || own.includes(tag.value)) &&
      (!wanted || [name, ...own].some((word) => word.toLowerCase().includes(wanted))),
  )
})
const whole = computed(() => shown.value.length === pairs.value.length)
const selection = useSelection(computed(() => shown.value.map(({ id }) => id)))
const chosen = computed(() => {
  const ids = new Set(selection.inOrder.value)
  return pairs.value.filter(({ id }) => ids.has(id))
})

const { ties, progress, threshold } = useLookAlikes(() => bench.game!)
const seenTies = computed(() =>
  ties.value
    .filter(({ likeness }) => likeness[vision.value] >= threshold.value)
    .sort((a, b) => b.likeness[vision.value] - a.likeness[vision.value]),
)
const pairTies = computed(() => seenTies.value.filter(({ one }) => one !== ''))
const nameOf = (id: string): string => pairs.value.find((pair) => pair.id === id)?.name ?? ''

/** Findings on the deck: those of the checks, and what is seen in the faces. */
const findings = computed<Finding[]>(() => {
  const found = bench.findings.filter(({ at }) => at.startsWith('deck'))
  const alike = ties.value.filter(({ one }) => one !== '')
  if (alike.length) {
    const [first] = alike
    found.push({
      level: 'warns',
      code: 'look-alikes',
      at: 'deck.pairs',
      message: `${nameOf(first!.one)} and ${nameOf(first!.other)} look alike${alike.length > 1 ? `, and ${alike.length - 1} more such pairs` : ''}`,
    })
  }
  const back = ties.value.find(({ one }) => one === '')
  if (back)
    found.push({
      level: 'warns',
      code: 'back-like-face',
      at: 'deck.back',
      message: `the back could be taken for ${nameOf(back.other)}`,
    })
  return found
})

const edit = (label: string, to: (now: Pair[]) => Pair[]): void =>
  bench.edit(label, (game) => void (game.deck.pairs = to(pairs.value)))
const some = (count: number): string => `${count} ${count === 1 ? 'pair' : 'pairs'}`

/** Adds pairs behind the last of the chosen, or at the end, and chooses them. */
function add(made: readonly Pair[], label: string): void {
  if (!made.length) return
  const last = pairs.value.findLastIndex(({ id }) => selection.chosen.value.has(id))
  const result = withPairs(pairs.value, made, label === 'paste pairs' && last >= 0 ? last + 1 : undefined)
  const { ids } = result
  if (ids.length) edit(label, () => result.pairs)
  const left = made.length - ids.length
  if (left)
    say(`A deck has at most ${BOUNDS.pairs[1].toLocaleString('en')} pairs; ${left} are left out`, {
      tone: 'wrong',
    })
  if (!ids.length) return
  if (query.value || tag.value) query.value = tag.value = ''
  selection.these(ids.length > 1 ? ids : ids.slice(-1))
  done(`${some(ids.length)} added`)
}
function remove(label = 'remove pairs'): void {
  const ids = new Set(selection.inOrder.value)
  if (!ids.size) return
  const at = shown.value.findIndex(({ id }) => ids.has(id))
  const names = chosen.value.map(({ name }) => name)
  edit(label, (now) => withoutPairs(now, ids))
  selection.only(shown.value[Math.min(at, shown.value.length - 1)]?.id ?? null)
  done(`${names.length === 1 ? `"${names[0]!}" is` : `${some(names.length)} are`} removed`)
  void light.value?.focusLead()
}
function double(): void {
  const result = duplicated(pairs.value, new Set(selection.inOrder.value))
  if (!result.ids.length) return
  edit('duplicate pairs', () => result.pairs)
  selection.these(result.ids)
}
function step(by: number): void {
  if (!whole.value) return say('Show the whole deck to change its order')
  edit('reorder the deck', (now) => movedBy(now, new Set(selection.inOrder.value), by))
  void light.value?.focusLead()
}
const clipboard = usePairClipboard({
  chosen: () => chosen.value,
  remove,
  add,
  files: (files) => takeImages(files),
  words: (text) => {
    pastedWords.value = text
    way.value = 'words'
  },
})

function takeImages(files: File[]): void {
  if (!files.length) return
  images.value = files
  way.value = 'images'
}
async function drop(event: DragEvent): Promise<void> {
  dropping.value = false
  if (event.dataTransfer) takeImages(await droppedFiles(event.dataTransfer))
}
const open = (name: typeof way.value) => ({
  modelValue: way.value === name,
  'onUpdate:modelValue': (on: boolean) => {
    way.value = on ? name : null
    if (on) return
    pastedWords.value = ''
    images.value = []
  },
})
</script>

<template>
  <div
    class="deck"
    @dragover.prevent="dropping = $event.dataTransfer?.types.includes('Files') ?? false"
    @drop.prevent="drop"
    @dragleave.self="dropping = false"
  >
    <section class="left" aria-labelledby="light-table">
      <header>
        <h2 id="light-table">Light table</h2>
        <span class="soft count">{{
          whole ? some(pairs.length) : `${shown.length} of ${some(pairs.length)}`
        }}</span>
        <label class="search">
          <IconSearch aria-hidden="true" />
          <span class="hidden-text">Search by name or tag</span>
          <input v-model="query" type="search" placeholder="name or tag" />
        </label>
        <ChoiceWord
          v-if="tags.length"
          v-model="tag"
          label="Only pairs with this tag"
          :choices="[['', 'every tag'], ...tags.map((word) => [word, word] as const)]"
        />
        <span class="seen">
          <span id="seen-label" class="soft">seen as</span>
          <ElSegmented v-model="vision" :options="[...VISIONS]" aria-labelledby="seen-label" size="small" />
        </span>
      </header>
      <LightTable
        ref="light"
        :class="{ dropping }"
        :pairs="shown"
        :selection="selection"
        :ties="pairTies"
        :vision="vision"
        :whole="whole"
        @move="(ids, to) => edit('reorder the deck', (now) => moved(now, new Set(ids), to))"
        @step="step"
        @remove="remove()"
      >
        <p v-if="pairs.length === 0" class="empty">
          <strong>No pairs yet.</strong> Add pictures from the library, drop images here, cut a sheet, paste
          words, or take a series.
        </p>
        <p v-else-if="shown.length === 0" class="empty">
          No pair is called or tagged "{{ query || tag }}".
          <button class="btn" type="button" @click="query = tag = ''">Show all</button>
        </p>
      </LightTable>
      <footer>
        <span class="soft">Add</span>
        <button class="btn" type="button" @click="way = 'pictures'"><IconPictures />Pictures</button>
        <button class="btn" type="button" @click="way = 'images'"><IconFile />Images</button>
        <button class="btn" type="button" @click="way = 'sheet'"><IconSheet />Sheet</button>
        <button class="btn" type="button" @click="way = 'words'"><IconWords />Words</button>
        <button class="btn" type="button" @click="way = 'series'"><IconSeries />Series</button>
        <button class="btn" type="button" title="Paste pairs (Ctrl+V)" @click="clipboard.paste">
          <IconPaste />Paste
        </button>
        <span class="soft tip">or drop files on the table</span>
      </footer>
    </section>
    <aside class="right" aria-label="Slip">
      <PairSlip
        v-if="chosen.length === 1"
        :key="chosen[0]!.id"
        :pair="chosen[0]!"
        @remove="remove()"
        @move="step"
        @double="double"
      />
      <ManySlip
        v-else-if="chosen.length > 1"
        :pairs="chosen"
        @remove="remove()"
        @step="step"
        @double="double"
        @copy="clipboard.copy"
        @cut="clipboard.cut"
      />
      <BackDesigner v-else />
      <LikenessAside
        v-model:threshold="threshold"
        :ties="seenTies"
        :chosen="chosen.length === 1 ? chosen[0]!.id : null"
        :progress="progress"
        :vision="vision"
        :size="smallestCard(bench.game!).width"
        @choose="selection.only"
      />
      <FindingsList :findings="findings">
        <template #default="{ finding }">
          <button
            v-if="finding.code === 'look-alikes' && pairTies.length"
            class="btn"
            type="button"
            @click="selection.these([pairTies[0]!.one, pairTies[0]!.other])"
          >
            Choose both
          </button>
          <button
            v-if="finding.code === 'look-alikes' && ties.length"
            class="btn"
            type="button"
            @click="
              edit('remove a look-alike', (now) =>
                withoutPairs(now, new Set([ties.find(({ one }) => one !== '')!.other])),
              )
            "
          >
            Remove {{ nameOf(ties.find(({ one }) => one !== '')?.other ?? '') }}
          </button>
          <button
            v-if="finding.code === 'back-like-face'"
            class="btn"
            type="button"
            @click="
              bench.edit(
                'mend the back',
                (game) =>
                  void (game.deck.back = { pattern: 'herringbone', ink: '#403f6d', paper: '#e9e6f4' }),
              )
            "
          >
            A back in night
          </button>
        </template>
      </FindingsList>
      <button v-if="chosen.length" class="btn to-back" type="button" @click="selection.only(null)">
        Design the back
      </button>
    </aside>
    <PicturePicker v-bind="open('pictures')" @add="(made) => add(made, 'add pictures')" />
    <ImagesDialog v-bind="open('images')" :files="images" @add="(made) => add(made, 'add images')" />
    <SheetDialog v-bind="open('sheet')" @add="(made) => add(made, 'add tiles')" />
    <WordsDialog v-bind="open('words')" :pasted="pastedWords" @add="(made) => add(made, 'add words')" />
    <SeriesDialog v-bind="open('series')" @add="(made) => add(made, 'add a series')" />
  </div>
</template>

<style scoped>
.deck {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  height: 100%;
}
.left {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
  gap: 12px;
  min-height: 0;
  padding: 14px 20px;
}
header,
footer {
  display: flex;
  align-items: center;
  gap: 12px;
}
footer {
  gap: 8px;
}
.count {
  white-space: nowrap;
}
.search {
  display: flex;
  align-items: center;
  gap: 8px;
  width: 180px;
  height: 34px;
  padding: 0 10px;
  border: 1px solid var(--line);
  border-radius: var(--round);
  color: var(--ink-soft);
}
.search:focus-within {
  border-color: var(--lagoon);
}
.search input {
  flex: 1;
  min-width: 0;
  border: 0;
  outline: 0;
  background: none;
  color: var(--ink);
  font: inherit;
}
.search input::placeholder {
  color: #6f6b7d;
}
.seen {
  display: flex;
  align-items: center;
  gap: 8px;
  margin-left: auto;
  white-space: nowrap;
}
.tip {
  margin-left: auto;
}
.dropping {
  border: 2px dashed var(--lagoon);
}
.empty {
  display: grid;
  justify-items: center;
  gap: 10px;
  padding: 80px 24px;
  text-align: center;
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
    grid-template-columns: 1fr;
    overflow-y: auto;
  }
}
</style>
