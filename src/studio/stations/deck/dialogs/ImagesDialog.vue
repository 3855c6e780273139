<script setup lang="ts">
import { ElButton, ElCheckbox, ElProgress } from 'element-plus'
import IconFile from '~icons/ph/upload-simple'
import IconFolder from '~icons/ph/folder-open'
import { computed, ref, shallowRef, watch } from 'vue'
import { countWords } from '../../../../core/count-words.ts'
import type { Pair } from '../../../../core/deck/pair.ts'
import FaceView from '../../../parts/cards/FaceView.vue'
import FilePicker from '../../../parts/files/FilePicker.vue'
import ModalDialog from '../../../parts/look/ModalDialog.vue'
import { useBench } from '../../../store/bench.ts'
import { droppedFiles, inOrder } from './dropped-files.ts'
import { addWords } from '../edits/useDeckEdits.ts'
import {
  imagePairs,
  LONGEST_SIDE,
  readImages,
  twinsAmong,
  type ReadImage,
} from '../../../parts/cards/image-files.ts'

/** Pairs from image files: read one by one, previewed before they are added, joined by their names on request. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ files: readonly File[] }>()
const emit = defineEmits<{ add: [pairs: Pair[]] }>()
const bench = useBench()

const images = shallowRef<ReadImage[]>([])
const problems = ref<string[]>([])
const join = ref(false)
const share = ref(0)
const total = ref(0)
const over = ref(false)
const picker = ref<InstanceType<typeof FilePicker>>()
const folder = ref<InstanceType<typeof FilePicker>>()
let run = 0

const takenIds = computed(() => bench.game!.deck.pairs.map(({ id }) => id))
const twins = computed(() => twinsAmong(images.value).size)
const pairs = computed(() => imagePairs(images.value, takenIds.value, join.value))
const smaller = computed(() => images.value.filter((image) => image.smaller).length)
const reading = computed(() => share.value < total.value)
const TOLD = 4
const SHOWN = 60

watch(
  open,
  (isOpen) => {
    run++
    images.value = []
    problems.value = []
    join.value = false
    share.value = total.value = 0
    if (isOpen && props.files.length) void readAll(props.files)
  },
  { immediate: true },
)

async function readAll(files: readonly File[]): Promise<void> {
  const mine = run
  const list = inOrder(files)
  total.value += list.length
  await readImages(list, (image, problem) => {
    if (mine !== run) return false
    share.value++
    if (image) images.value = [...images.value, image]
    else problems.value.push(problem)
    return true
  })
}
async function drop(event: DragEvent): Promise<void> {
  over.value = false
  if (event.dataTransfer) await readAll(await droppedFiles(event.dataTransfer))
}
/** Drops what has not been read yet; the rest stays. */
function stop(): void {
  run++
  total.value = share.value
}
function add(): void {
  emit('add', pairs.value.pairs)
  open.value = false
}
</script>

<template>
  <ModalDialog v-model="open" title="Images" :width="860">
    <div
      class="drop"
      :class="{ over }"
      @dragover.prevent.stop="over = true"
      @dragleave.self="over = false"
      @drop.prevent.stop="drop"
    >
      <div class="choose">
        <ElButton class="btn" @click="picker?.choose()"><IconFile />Choose files</ElButton>
        <ElButton class="btn" @click="folder?.choose()"><IconFolder />Choose a folder</ElButton>
        <span class="soft"
          >or drop files and folders here, or paste an image. PNG, JPEG, WebP, GIF, SVG.</span
        >
      </div>
      <div v-if="reading" class="going">
        <ElProgress :percentage="(100 * share) / total" :show-text="false" aria-label="Reading images" />
        <span class="soft">{{ share }} of {{ total }}</span>
        <ElButton class="btn" @click="stop">Stop</ElButton>
      </div>
      <div v-if="problems.length" role="alert">
        <ul class="problems">
          <li v-for="problem in problems.slice(0, TOLD)" :key="problem">{{ problem }}</li>
          <li v-if="problems.length > TOLD">and {{ problems.length - TOLD }} more</li>
        </ul>
      </div>
      <ElCheckbox v-if="twins" v-model="join" class="join">
        Make related pairs of {{ twins * 2 }} images whose names differ only in a final a/b, 1/2 or left/right
      </ElCheckbox>
      <p v-if="images.length" class="soft">
        {{ countWords(pairs.pairs.length, 'pair') }} from {{ countWords(images.length, 'image')
        }}{{ pairs.twice ? `; ${pairs.twice} came twice and were taken once` : ''
        }}{{ smaller ? `; ${smaller} made smaller, ${LONGEST_SIDE} px on the longest side` : '' }}.
      </p>
      <ul v-if="pairs.pairs.length" class="preview" aria-label="Pairs to add">
        <li v-for="pair in pairs.pairs.slice(0, SHOWN)" :key="pair.id">
          <span class="cards">
            <span class="card"><FaceView :face="pair.a" :name="pair.name" /></span>
            <span v-if="pair.b" class="card"><FaceView :face="pair.b" :name="pair.name" /></span>
          </span>
          <span class="name">{{ pair.name }}</span>
        </li>
        <li v-if="pairs.pairs.length > SHOWN" class="soft">and {{ pairs.pairs.length - SHOWN }} more</li>
      </ul>
      <p v-else-if="!reading" class="none soft">
        Each image becomes a pair of twins. Larger images are scaled down to {{ LONGEST_SIDE }} px on the
        longest side; a card shows no more.
      </p>
    </div>
    <FilePicker ref="picker" label="Images to add" accept="image/*" multiple @take="readAll" />
    <FilePicker ref="folder" label="Folder of images to add" folder @take="readAll" />
    <template #buttons>
      <ElButton class="btn" @click="open = false">Cancel</ElButton>
      <ElButton class="btn main" :disabled="!pairs.pairs.length || reading" @click="add">
        {{ addWords(pairs.pairs.length) }}
      </ElButton>
    </template>
  </ModalDialog>
</template>

<style scoped>
.drop {
  display: grid;
  gap: 12px;
  align-content: start;
  min-height: 260px;
  border-radius: var(--round-card);
}
.drop.over {
  outline: 2px dashed var(--lagoon);
  outline-offset: 6px;
}
.choose,
.going {
  display: flex;
  align-items: center;
  gap: 12px;
}
.el-progress {
  flex: 1;
  min-width: 120px;
}
.problems {
  margin: 0;
  padding-left: 20px;
  color: var(--brick);
}
.join {
  display: flex;
  align-items: center;
  gap: 10px;
  font-weight: 600;
}
.preview {
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
  max-height: min(360px, 42vh);
  margin: 0;
  padding: 4px;
  overflow-y: auto;
  list-style: none;
}
.preview li {
  display: grid;
  justify-items: center;
  gap: 4px;
}
.cards {
  display: flex;
  gap: 3px;
}
.card {
  width: 62px;
  height: 74px;
  border-radius: 7px;
  background: var(--card);
  box-shadow: 0 0 0 1px var(--line);
}
.name {
  max-width: 120px;
  overflow: hidden;
  font-size: 13px;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.none {
  padding: 40px 60px;
  text-align: center;
}
</style>
