<script setup lang="ts">
import IconFile from '~icons/ph/upload-simple'
import IconPictures from '~icons/ph/images-square'
import IconSearch from '~icons/ph/magnifying-glass'
import IconWords from '~icons/ph/list-dashes'
import { computed, nextTick, ref, watch } from 'vue'
import type { Pair } from '../../core/game/game.ts'
import { BOUNDS } from '../../core/game/settings.ts'
import { useSortable } from '../look/useSortable.ts'
import { useBench } from '../store/bench.ts'
import { useToasts } from '../toast/useToasts.ts'
import BackDesigner from './BackDesigner.vue'
import { imagePairs } from './image-files.ts'
import PairSlip from './PairSlip.vue'
import PairTile from './PairTile.vue'
import PicturePicker from './PicturePicker.vue'
import WordsDialog from './WordsDialog.vue'

const bench = useBench()
const { say } = useToasts()
const query = ref('')
const chosen = ref<string | null>(null)
const picturesOpen = ref(false)
const wordsOpen = ref(false)
const table = ref<HTMLElement>()
const picker = ref<HTMLInputElement>()
const dropping = ref(false)

const pairs = computed(() => bench.game!.deck.pairs)
const shown = computed(() => {
  const wanted = query.value.trim().toLowerCase()
  if (!wanted) return pairs.value
  return pairs.value.filter(({ name, tags }) =>
    [name, ...(tags ?? [])].some((word) => word.toLowerCase().includes(wanted)),
  )
})
const pair = computed(() => pairs.value.find(({ id }) => id === chosen.value))

function add(made: Pair[], label: string): void {
  const room = BOUNDS.pairs[1] - pairs.value.length
  if (made.length > room)
    say(`A deck has at most ${BOUNDS.pairs[1]} pairs; ${made.length - room} are left out`, { tone: 'wrong' })
  const some = made.slice(0, Math.max(0, room))
  if (!some.length) return
  bench.edit(label, (game) => void game.deck.pairs.push(...some))
  chosen.value = some.at(-1)!.id
  say(`${some.length} ${some.length === 1 ? 'pair' : 'pairs'} added`, {
    act: { label: 'Undo', run: bench.undo },
  })
}

async function addImages(files: FileList | File[] | null | undefined): Promise<void> {
  if (!files?.length) return
  const { pairs: made, problems } = await imagePairs(
    [...files],
    pairs.value.map(({ id }) => id),
  )
  if (problems.length)
    say(problems.length === 1 ? problems[0]! : `${problems[0]!} (and ${problems.length - 1} more)`, {
      tone: 'wrong',
    })
  add(made, 'add images')
  if (picker.value) picker.value.value = ''
}

function remove(id: string): void {
  const at = pairs.value.findIndex((one) => one.id === id)
  if (at < 0) return
  const { name } = pairs.value[at]!
  bench.edit('remove a pair', (game) => void game.deck.pairs.splice(at, 1))
  const next = pairs.value[Math.min(at, pairs.value.length - 1)]
  chosen.value = next?.id ?? null
  say(`"${name}" is removed`, { act: { label: 'Undo', run: bench.undo } })
  void focusTile()
}

function move(id: string, by: number): void {
  const from = pairs.value.findIndex((one) => one.id === id)
  moveTo(from, from + by)
  void focusTile()
}
function moveTo(from: number, to: number): void {
  if (from < 0 || to < 0 || to >= pairs.value.length || from === to) return
  bench.edit('reorder the deck', (game) => {
    const [moved] = game.deck.pairs.splice(from, 1)
    game.deck.pairs.splice(to, 0, moved!)
  })
}

async function focusTile(): Promise<void> {
  await nextTick()
  table.value?.querySelector<HTMLElement>(`[data-pair="${CSS.escape(chosen.value ?? '')}"] button`)?.focus()
}

/** Arrow keys go from tile to tile, by what is beside or below on the screen. */
function arrow(event: KeyboardEvent): void {
  const steps: Record<string, number> = {
    ArrowLeft: -1,
    ArrowRight: 1,
    ArrowUp: -perRow(),
    ArrowDown: perRow(),
  }
  const by = steps[event.key]
  if (by === undefined) return
  event.preventDefault()
  if (event.altKey) return move(chosen.value ?? '', Math.sign(by))
  const at = shown.value.findIndex(({ id }) => id === chosen.value)
  chosen.value = shown.value[Math.max(0, Math.min(shown.value.length - 1, at + by))]?.id ?? null
  void focusTile()
}
function perRow(): number {
  const tiles = [...(table.value?.children ?? [])] as HTMLElement[]
  return tiles.filter((tile) => tile.offsetTop === tiles[0]?.offsetTop).length
}

const allowDragging = useSortable(table, moveTo)
// a filtered table shows no order to change
watch(query, () => allowDragging(query.value.trim() === ''))

function drop(event: DragEvent): void {
  dropping.value = false
  void addImages(event.dataTransfer?.files)
}
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
        <span class="soft">{{ pairs.length }} {{ pairs.length === 1 ? 'pair' : 'pairs' }}</span>
        <label class="search">
          <IconSearch aria-hidden="true" />
          <span class="hidden-text">Search by name or tag</span>
          <input v-model="query" type="search" placeholder="name or tag" />
        </label>
      </header>
      <div class="glass" :class="{ dropping }">
        <ul ref="table" @keydown="arrow" @keydown.delete="chosen && remove(chosen)">
          <PairTile
            v-for="one in shown"
            :key="one.id"
            :pair="one"
            :chosen="one.id === chosen"
            @choose="chosen = one.id"
          />
        </ul>
        <p v-if="pairs.length === 0" class="empty">
          <strong>No pairs yet.</strong> Add pictures from the library, drop images here, or type words.
        </p>
        <p v-else-if="shown.length === 0" class="empty">
          No pair is called or tagged "{{ query }}".
          <button class="btn" type="button" @click="query = ''">Show all</button>
        </p>
      </div>
      <footer>
        <span class="soft">Add</span>
        <button class="btn" type="button" @click="picturesOpen = true"><IconPictures />Pictures</button>
        <button class="btn" type="button" @click="picker?.click()"><IconFile />Images</button>
        <button class="btn" type="button" @click="wordsOpen = true"><IconWords />Words</button>
        <span class="soft tip">or drop image files anywhere on the table</span>
        <input
          ref="picker"
          class="hidden-text"
          type="file"
          accept="image/*"
          multiple
          tabindex="-1"
          aria-label="Images to add"
          @change="addImages(($event.target as HTMLInputElement).files)"
        />
      </footer>
    </section>
    <aside class="right" aria-label="Slip">
      <PairSlip
        v-if="pair"
        :key="pair.id"
        :pair="pair"
        @remove="remove(pair.id)"
        @move="(by) => move(pair!.id, by)"
        @close="chosen = null"
      />
      <BackDesigner v-else />
      <button v-if="pair" class="btn to-back" type="button" @click="chosen = null">Design the back</button>
    </aside>
    <PicturePicker v-model="picturesOpen" @add="(made) => add(made, 'add pictures')" />
    <WordsDialog v-model="wordsOpen" @add="(made) => add(made, 'add words')" />
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
.search {
  display: flex;
  align-items: center;
  gap: 8px;
  width: 200px;
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
.tip {
  margin-left: auto;
}
.glass {
  position: relative;
  overflow-y: auto;
  border: 1px solid var(--line);
  border-radius: var(--round-card);
  background: radial-gradient(circle at 50% 40%, #fff 0, #fdfaf3 45%, #f3ebdc 100%);
  box-shadow: inset 0 0 24px #d8caae80;
}
.glass.dropping {
  border: 2px dashed var(--lagoon);
}
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(152px, 1fr));
  gap: 10px;
  margin: 0;
  padding: 18px;
  list-style: none;
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
  margin-top: 20px;
}
@media (max-width: 760px) {
  .deck {
    grid-template-columns: 1fr;
    overflow-y: auto;
  }
}
</style>
