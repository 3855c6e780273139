<script setup lang="ts">
import { ElButton } from 'element-plus'
import IconDownload from '~icons/ph/download-simple'
import { useLocalStorage } from '@vueuse/core'
import { computed, onMounted, ref } from 'vue'
import { unknownPictures } from '../../../core/findings/findings.ts'
import { imagesOf, soundsOf } from '../../../core/game/own-files.ts'
import { fileStem } from '../../../core/game/names.ts'
import { ENGINE_NAME } from '../../../ship/engine-package.ts'
import { problemLine } from '../../../core/result.ts'
import { useFindings } from '../../parts/findings/store.ts'
import { download, downloadGame } from '../../parts/look/download.ts'
import { useToasts } from '../../parts/toast/useToasts.ts'
import { useBench } from '../../store/bench.ts'
import { pictureIndex } from '../../store/pictures.ts'
import CreditsRow from './CreditsRow.vue'
import { DESTINATIONS, type Destination } from './destinations.ts'
import EngineDetails from './EngineDetails.vue'
import FrameDetails from './FrameDetails.vue'
import LevelAddresses from './LevelAddresses.vue'
import SaysTable from './SaysTable.vue'
import ShipFindings from './ShipFindings.vue'
import ShipPreview from './ShipPreview.vue'
import SpeaksRow from './SpeaksRow.vue'
import { useShipped } from './useShipped.ts'
import WeighsBar from './WeighsBar.vue'
import WhereTo from './WhereTo.vue'

const bench = useBench()
const checks = useFindings()
const { say } = useToasts()
const pictures = ref<ReadonlySet<string>>()
const stored = useLocalStorage<Destination>('lucky-twin.ship', 'page')
const all = DESTINATIONS.flatMap((group) => group.all)
const chosen = computed({
  get: () => (all.some(({ id }) => id === stored.value) ? stored.value : 'page'),
  set: (next) => (stored.value = next),
})
const destination = computed(() => all.find(({ id }) => id === chosen.value)!)
const { made, page, name, failure, isCurrent } = useShipped()

const game = computed(() => bench.game!)
const findings = computed(() => [
  ...checks.all,
  ...(pictures.value ? unknownPictures(game.value, pictures.value) : []),
])
const stopped = computed(() => findings.value.some((finding) => finding.severity === 'stops'))
const problem = computed(() =>
  made.value && !made.value.ok ? problemLine(made.value.problem) : failure.value,
)
/** what a zip would contain besides the data: "images", "sounds" or both */
const ownFiles = computed(() =>
  [imagesOf(game.value).length && 'images', soundsOf(game.value).length && 'sounds']
    .filter(Boolean)
    .join(' and '),
)
const kilobytes = (bytes: number): string => `${Math.ceil(bytes / 1024).toLocaleString('en')} kB`
const credits = computed(() => page.value?.credits ?? [])
const sizes = computed(() => {
  const size = page.value ? kilobytes(page.value.bytes) : ''
  return { page: size, frame: size }
})
const FILES: Partial<Record<Destination, () => string>> = {
  file: () => `${fileStem(game.value)}.game.json`,
  engine: () => ENGINE_NAME,
}
const fileName = computed(() => FILES[chosen.value]?.() ?? name.value)

function downloadPage(): void {
  if (problem.value) return say(problem.value, { tone: 'wrong' })
  const { html, bytes } = page.value!
  download(name.value, html, 'text/html')
  say(`${name.value}, ${kilobytes(bytes)}, is among your downloads`)
}
async function engine(): Promise<void> {
  const { makeEngine } = await import('./make-engine.ts')
  const { name: file, content } = await makeEngine()
  download(file, content, 'application/gzip')
}
async function zip(): Promise<void> {
  const { writeGameZip } = await import('../../../core/files/game-zip.ts')
  download(
    `${fileStem(game.value)}.game.zip`,
    writeGameZip(game.value) as Uint8Array<ArrayBuffer>,
    'application/zip',
  )
}
onMounted(async () => {
  pictures.value = await pictureIndex().then(
    (index) => new Set(index.map(({ name: one }) => one)),
    () => undefined,
  )
})
</script>

<template>
  <div class="ship">
    <ShipPreview />
    <WhereTo v-model="chosen" :sizes="sizes" />
    <section class="details" :aria-label="destination.name">
      <header>
        <h2>{{ destination.name }}</h2>
        <span class="soft">{{ fileName }}</span>
        <ElButton v-if="chosen === 'file'" class="btn main" @click="downloadGame(game)">
          <IconDownload />Download the game file
        </ElButton>
        <ElButton v-else-if="chosen === 'engine'" class="btn main" @click="engine">
          <IconDownload />Download the module
        </ElButton>
        <ElButton
          v-else
          class="btn main"
          :disabled="stopped || !checks.current || !isCurrent"
          @click="downloadPage"
        >
          <IconDownload />{{ isCurrent ? 'Download the page' : 'Making the page…' }}
        </ElButton>
      </header>
      <p v-if="stopped && (chosen === 'page' || chosen === 'frame')" class="stop">
        Fix the problems below first.
      </p>

      <template v-if="chosen === 'page'">
        <div class="part">
          <h3>Speaks</h3>
          <SpeaksRow />
        </div>
        <div class="part">
          <h3>Says</h3>
          <SaysTable />
        </div>
        <div class="part">
          <h3>Keeps</h3>
          <p>best results and an open game, in the player's browser; it sends nothing</p>
        </div>
        <div v-if="page" class="part">
          <h3>Weighs</h3>
          <WeighsBar :weights="page.weights" />
        </div>
        <div class="part">
          <h3>Credits</h3>
          <CreditsRow :credits="credits" :licenses="page?.licenses ?? ''" />
        </div>
        <div class="part">
          <h3>Levels</h3>
          <LevelAddresses :game="game" />
        </div>
      </template>
      <EngineDetails v-else-if="chosen === 'engine'" class="block" />
      <FrameDetails v-else-if="chosen === 'frame'" class="block" :name="name" />
      <div v-else class="block">
        <p>
          Deck, rules, levels, texts and kept checks as JSON: to keep, to share, or to read with your own code
          and the command line.
        </p>
        <ElButton v-if="ownFiles" class="btn" @click="zip">With {{ ownFiles }} as a zip</ElButton>
      </div>

      <div class="part">
        <h3>Findings</h3>
        <ShipFindings :findings="findings" :current="checks.current" />
      </div>
    </section>
  </div>
</template>

<style scoped>
.ship {
  display: grid;
  grid-template-columns: 380px 310px minmax(0, 1fr);
  height: 100%;
}
.details {
  overflow-y: auto;
  padding: 18px 24px;
  background: var(--card);
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
}
h2 {
  font-size: 22px;
}
header .soft {
  min-width: 0;
  overflow-wrap: anywhere;
}
header .btn {
  margin-left: auto;
}
.part {
  display: grid;
  grid-template-columns: 76px minmax(0, 1fr);
  gap: 4px 14px;
  margin-top: 14px;
  padding-top: 14px;
  border-top: 1px solid var(--line);
}
.block {
  display: grid;
  justify-items: start;
  gap: 12px;
  margin-top: 14px;
  padding-top: 14px;
  border-top: 1px solid var(--line);
}
.stop {
  margin-top: 8px;
  color: var(--brick);
  font-weight: 600;
}
@media (max-width: 1100px) {
  .ship {
    grid-template-columns: 300px minmax(0, 1fr);
    grid-template-rows: auto minmax(0, 1fr);
  }
  .ship > :first-child {
    grid-row: 1 / -1;
  }
}
@media (max-width: 760px) {
  .ship {
    display: block;
    overflow-y: auto;
  }
  .ship > :first-child {
    height: 560px;
  }
  .part {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
