<script setup lang="ts">
import { ElButton, ElEmpty } from 'element-plus'
import IconShelf from '~icons/ph/books'
import IconFolder from '~icons/ph/folder-open'
import { computed, defineAsyncComponent, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import type { Pair } from '../../../core/deck/pair.ts'
import type { Game } from '../../../core/game/game.ts'
import { newGame } from '../../../core/game/new-game.ts'
import { problemLine } from '../../../core/result.ts'
import { onceTrue } from '../../parts/timing/onceTrue.ts'
import { carriesFiles } from '../../parts/files/stray-files.ts'
import { isWordList } from '../../parts/files/text-of.ts'
import FilePicker from '../../parts/files/FilePicker.vue'
import SearchField from '../../parts/look/SearchField.vue'
import ChoiceWord from '../../parts/settings/ChoiceWord.vue'
import type { StoredGame } from '../../store/db.ts'
import { useShelf } from '../../store/shelf.ts'
import { useToasts } from '../../parts/toast/useToasts.ts'
import GameBox from './GameBox.vue'
import NewGame from './NewGame.vue'
import ShelfMenu from './ShelfMenu.vue'
import WaysToBegin from './WaysToBegin.vue'
import { AT_A_GLANCE, FEW, foundBoxes, ORDERS, type Order } from './found-boxes.ts'
import { openGameFile } from './open-file.ts'
import { useShelfFindings } from './useShelfFindings.ts'
import { useWordLists } from './useWordLists.ts'
import { isOneOf, useChoice } from '../../parts/settings/useChoice.ts'

const shelf = useShelf()
const { findingsOf } = useShelfFindings(() => shelf.boxes)
const router = useRouter()
const { say } = useToasts()
const picker = ref<InstanceType<typeof FilePicker>>()
const dropping = ref(false)

onMounted(() => {
  document.title = 'Lucky Twin'
  void shelf.load()
})

const query = ref('')
const order = useChoice<Order>('shelf-order', 'touched', isOneOf(ORDERS.map(([id]) => id)))
const many = computed(() => shelf.boxes.length > AT_A_GLANCE)
const matches = computed(() => (many.value ? foundBoxes(shelf.boxes, query.value, order.value) : shelf.boxes))

const openBench = (id: string, station = 'deck'): unknown =>
  router.push({ name: 'bench', params: { id, station } })

async function put(game: Game, add = shelf.add): Promise<string | null> {
  try {
    return await add(game)
  } catch (error) {
    say(`"${game.title}" could not be kept: ${(error as Error).message}`, { tone: 'wrong' })
    return null
  }
}

/** The dialog of words for a new game: typed, or from this list. */
const { waiting, list, writing, write, title } = useWordLists()
const WordsDialog = defineAsyncComponent(() => import('../../stations/deck/dialogs/WordsDialog.vue'))
const wasWriting = onceTrue(writing)
function makeOfWords(pairs: readonly Pair[]): void {
  const game = newGame(title(), [...pairs])
  // with more lists to come, the shelf stays open
  if (waiting.value.length) void putNew(game)
  else void make(game)
}

async function openFiles(files: Iterable<File> = []): Promise<void> {
  for (const file of [...files]) {
    if (await isWordList(file)) {
      write(file)
      continue
    }
    const game = await openGameFile(file)
    if (!game.ok) {
      say(`${file.name}: ${problemLine(game.problem)}`, { tone: 'wrong' })
      continue
    }
    await putNew(game.value, shelf.add)
  }
}
async function putNew(game: Game, add = shelf.addNew): Promise<void> {
  const id = await put(game, add)
  if (id) say(`"${game.title}" is on the shelf`, { act: { label: 'Open', run: () => openBench(id) } })
}

async function make(game: Game, station?: string): Promise<void> {
  const id = await put(game, shelf.addNew)
  if (id) openBench(id, station)
}

async function remove(box: StoredGame): Promise<void> {
  await shelf.remove(box)
  say(`"${box.game.title}" is in the bin`, { act: { label: 'Undo', run: () => void shelf.takeBack(box) } })
}

function drop(event: DragEvent): void {
  dropping.value = false
  void openFiles(event.dataTransfer?.files)
}
</script>

<template>
  <div
    class="shelf"
    @dragover.prevent="dropping = carriesFiles($event)"
    @dragleave.self="dropping = false"
    @drop.prevent="drop"
  >
    <header class="top">
      <img src="/mark.svg" alt="" width="32" height="32" />
      <span class="name">Lucky Twin</span>
      <ElButton class="btn" @click="picker?.choose()"><IconFolder />Open a file</ElButton>
      <ShelfMenu />
      <FilePicker
        ref="picker"
        label="Game files"
        accept=".json,.zip,.html,.csv,.tsv,.txt"
        multiple
        @take="openFiles"
      />
    </header>
    <main>
      <h1>Your games</h1>
      <p class="soft">
        Kept in this browser. Drop a game file, a shipped page or a list of words anywhere to open it.
      </p>
      <div v-if="many" class="finder">
        <SearchField v-model="query" label="Search the shelf" placeholder="find a game" />
        <span
          >{{ matches.length }} of {{ shelf.boxes.length }},
          <ChoiceWord v-model="order" label="Order" :choices="ORDERS"
        /></span>
      </div>
      <div class="boxes">
        <NewGame @make="make" @words="write(null)" />
        <GameBox
          v-for="(box, i) in matches"
          :key="box.key"
          :box="box"
          :findings="findingsOf(box)"
          :hue="i % 3"
          @duplicate="shelf.duplicate(box)"
          @remove="remove(box)"
        />
        <ElEmpty
          v-if="shelf.ready && shelf.boxes.length === 0"
          class="none"
          description="The shelf is empty. Make a new game, or open one from a file."
        >
          <template #image><IconShelf aria-hidden="true" /></template>
        </ElEmpty>
        <ElEmpty
          v-else-if="matches.length === 0 && query"
          class="none"
          :description="`No game has “${query}” in its title, levels, pairs or tags.`"
        >
          <template #image><IconShelf aria-hidden="true" /></template>
          <ElButton class="btn" @click="query = ''">Show all games</ElButton>
        </ElEmpty>
      </div>
      <WaysToBegin v-if="shelf.ready && shelf.boxes.length < FEW" @make="make($event, 'play')" />
    </main>
    <WordsDialog
      v-if="wasWriting"
      v-model="writing"
      pasted=""
      :file="list"
      :there="[]"
      fresh
      @add="makeOfWords"
    />
    <p v-if="dropping" class="drop">Let go to open the game</p>
  </div>
</template>

<style scoped>
.shelf {
  min-height: 100%;
  padding-bottom: 48px;
}
.top {
  display: flex;
  align-items: center;
  gap: 10px;
  padding: 12px 20px;
}
.name {
  flex: 1;
  font: 700 21px/1.3 var(--head);
}
main {
  max-width: 1240px;
  margin: 0 auto;
  padding: 20px 24px;
}
h1 {
  font-size: 34px;
}
.finder {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
  margin-top: 14px;
}
.boxes {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(276px, 1fr));
  gap: 24px;
  margin-top: 24px;
}
/* beside the new game: at the foot of the page the messages would cover it */
.none {
  grid-column: 2 / -1;
}
.drop {
  position: fixed;
  inset: 12px;
  display: grid;
  place-items: center;
  border: 3px dashed var(--lagoon);
  border-radius: 14px;
  background: #e3efedd9;
  font: 700 26px var(--head);
  pointer-events: none;
}
@media (max-width: 700px) {
  .none {
    grid-column: auto;
  }
}
@media (max-width: 500px) {
  main {
    padding: 8px 16px;
  }
  h1 {
    font-size: 28px;
  }
}
</style>
