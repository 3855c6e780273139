<script setup lang="ts">
import { ElButton, ElEmpty } from 'element-plus'
import IconShelf from '~icons/ph/books'
import IconFolder from '~icons/ph/folder-open'
import { onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import type { Game } from '../../../core/game/game.ts'
import { problemLine } from '../../../core/result.ts'
import FilePicker from '../../parts/look/FilePicker.vue'
import type { Kept } from '../../store/db.ts'
import { useShelf } from '../../store/shelf.ts'
import { useToasts } from '../../parts/toast/useToasts.ts'
import GameBox from './GameBox.vue'
import NewGame from './NewGame.vue'
import { openGameFile } from './open-file.ts'
import { useShelfFindings } from './useShelfFindings.ts'

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

const openBench = (id: string): unknown => router.push({ name: 'bench', params: { id, station: 'deck' } })

async function put(game: Game): Promise<string | null> {
  try {
    return await shelf.add(game)
  } catch (error) {
    say(`"${game.title}" could not be kept: ${(error as Error).message}`, { tone: 'wrong' })
    return null
  }
}

async function openFiles(files: Iterable<File> = []): Promise<void> {
  for (const file of files) {
    const game = await openGameFile(file)
    if (!game.ok) {
      say(`${file.name}: ${problemLine(game.problem)}`, { tone: 'wrong' })
      continue
    }
    const id = await put(game.value)
    if (id) say(`"${game.value.title}" is on the shelf`, { act: { label: 'Open', run: () => openBench(id) } })
  }
}

async function make(game: Game): Promise<void> {
  const id = await put(game)
  if (id) openBench(id)
}

async function remove(box: Kept): Promise<void> {
  const back = await shelf.remove(box)
  say(`"${box.game.title}" is removed`, { act: { label: 'Undo', run: () => void back() } })
}

function drop(event: DragEvent): void {
  dropping.value = false
  void openFiles(event.dataTransfer?.files)
}
const carriesFiles = (event: DragEvent): boolean => event.dataTransfer?.types.includes('Files') ?? false
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
      <FilePicker ref="picker" label="Game files" accept=".json,.zip" multiple @take="openFiles" />
    </header>
    <main>
      <h1>Your games</h1>
      <p class="soft">Kept in this browser. Drop a game file anywhere to open it.</p>
      <div class="boxes">
        <NewGame @make="make" />
        <GameBox
          v-for="(box, i) in shelf.boxes"
          :key="box.key"
          :box="box"
          :findings="findingsOf(box)"
          :hue="i % 3"
          @duplicate="shelf.duplicate(box)"
          @remove="remove(box)"
        />
      </div>
      <ElEmpty
        v-if="shelf.ready && shelf.boxes.length === 0"
        description="The shelf is empty. Make a new game, or open one from a file."
      >
        <template #image><IconShelf aria-hidden="true" /></template>
      </ElEmpty>
    </main>
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
.boxes {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(276px, 1fr));
  gap: 24px;
  margin-top: 24px;
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
@media (max-width: 500px) {
  main {
    padding: 8px 16px;
  }
  h1 {
    font-size: 28px;
  }
}
</style>
