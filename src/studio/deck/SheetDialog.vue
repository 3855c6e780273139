<script setup lang="ts">
import IconFile from '~icons/ph/upload-simple'
import { ElSegmented } from 'element-plus'
import 'element-plus/theme-chalk/el-segmented.css'
import { computed, reactive, ref, shallowRef, watch } from 'vue'
import { cutSheet, isEmptyTile, SHEET_BOUNDS, type SheetCut, type Tile } from '../../core/deck/sheet.ts'
import type { Pair } from '../../core/game/game.ts'
import { newId } from '../../core/game/new-id.ts'
import { LENGTHS } from '../../core/game/settings.ts'
import { problemLine } from '../../core/result.ts'
import ModalDialog from '../look/ModalDialog.vue'
import NumberWord from '../settings/NumberWord.vue'
import { useBench } from '../store/bench.ts'
import { decodeImage, LONGEST_SIDE, wordsOf } from './image-files.ts'

/** One image cut into tiles: the grid lies over the image while it is set; empty tiles stay out; each tile has a name. */
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ add: [pairs: Pair[]] }>()
const bench = useBench()

const image = shallowRef<{ canvas: HTMLCanvasElement; url: string; name: string } | null>(null)
const problem = ref('')
const by = ref<'size' | 'count'>('size')
const size = reactive({ width: 64, height: 64 })
const count = reactive({ columns: 4, rows: 4 })
const edge = reactive({ margin: 0, spacing: 0 })
const over = ref(false)
const picker = ref<HTMLInputElement>()
/** what the author said of single tiles, by row and column */
const names = ref<Record<string, string>>({})
const said = ref<Record<string, boolean>>({})
const looked = ref('')

watch(open, () => {
  image.value = null
  problem.value = ''
  forget()
})
function forget(): void {
  names.value = {}
  said.value = {}
}

const cut = computed<SheetCut>(() =>
  by.value === 'size' ? { by: 'size', ...size, ...edge } : { by: 'count', ...count, ...edge },
)
const sheet = computed(
  () => image.value && cutSheet(image.value.canvas.width, image.value.canvas.height, cut.value),
)
const keyOf = ({ row, column }: Tile): string => `${row} ${column}`
const empty = computed(() => {
  if (!sheet.value?.ok) return new Set<string>()
  const pen = image.value!.canvas.getContext('2d', { willReadFrequently: true })!
  return new Set(
    sheet.value.value.tiles
      .filter(({ x, y, width, height }) => isEmptyTile(pen.getImageData(x, y, width, height).data))
      .map(keyOf),
  )
})
const tiles = computed(() => {
  if (!sheet.value?.ok) return []
  const stem = image.value!.name
  let number = 0
  return sheet.value.value.tiles.map((tile) => {
    const key = keyOf(tile)
    const taken = said.value[key] ?? !empty.value.has(key)
    if (taken) number++
    return { ...tile, key, taken, empty: empty.value.has(key), name: names.value[key] ?? `${stem} ${number}` }
  })
})
const chosen = computed(() => tiles.value.filter(({ taken }) => taken))
const left = computed(() => {
  if (!sheet.value?.ok) return ''
  const { x, y } = sheet.value.value.left
  const parts = [x > 0 ? `${x} px at the right` : '', y > 0 ? `${y} px below` : ''].filter(Boolean)
  return parts.length ? `${parts.join(' and ')} belong to no tile` : ''
})

async function take(files: FileList | null | undefined): Promise<void> {
  over.value = false
  const file = files?.[0]
  if (picker.value) picker.value.value = ''
  if (!file) return
  const decoded = await decodeImage(file)
  if (!decoded.ok) {
    problem.value = `${file.name}: ${problemLine(decoded.problem)}`
    return
  }
  const { bitmap } = decoded.value
  const canvas = document.createElement('canvas')
  canvas.width = bitmap.width
  canvas.height = bitmap.height
  canvas.getContext('2d', { willReadFrequently: true })!.drawImage(bitmap, 0, 0)
  bitmap.close()
  problem.value = ''
  forget()
  image.value = { canvas, url: canvas.toDataURL(), name: wordsOf(file.name) }
}

function toggle(key: string, taken: boolean): void {
  said.value = { ...said.value, [key]: !taken }
}
function rename(key: string, event: Event): void {
  const name = (event.target as HTMLInputElement).value.trim().slice(0, LENGTHS.name)
  const { [key]: _old, ...others } = names.value
  names.value = name ? { ...others, [key]: name } : others
}

/** The tile as an image of its own, no larger than is useful. */
function tileSource({ x, y, width, height }: Tile): string {
  const scale = Math.min(1, LONGEST_SIDE / Math.max(width, height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(width * scale))
  canvas.height = Math.max(1, Math.round(height * scale))
  const pen = canvas.getContext('2d')!
  pen.imageSmoothingQuality = 'high'
  pen.drawImage(image.value!.canvas, x, y, width, height, 0, 0, canvas.width, canvas.height)
  return canvas.toDataURL('image/png')
}
function add(): void {
  const ids = bench.game!.deck.pairs.map(({ id }) => id)
  emit(
    'add',
    chosen.value.map((tile) => {
      const id = newId(tile.name, ids, 'tile')
      ids.push(id)
      return { id, name: tile.name, a: { kind: 'image', src: tileSource(tile), alt: tile.name } }
    }),
  )
  open.value = false
}
</script>

<template>
  <ModalDialog v-model="open" title="Sheet" :width="980">
    <div
      class="drop"
      :class="{ over, started: image }"
      @dragover.prevent.stop="over = true"
      @dragleave.self="over = false"
      @drop.prevent.stop="take($event.dataTransfer?.files)"
    >
      <div v-if="!image" class="none">
        <p>
          <strong>One image that holds many tiles.</strong> Drop it here, or choose it; then lay the grid over
          it.
        </p>
        <button class="btn main" type="button" @click="picker?.click()"><IconFile />Choose the sheet</button>
      </div>
      <template v-else>
        <div class="sight">
          <svg
            :viewBox="`0 0 ${image.canvas.width} ${image.canvas.height}`"
            role="img"
            :aria-label="`${image.name}, ${image.canvas.width} × ${image.canvas.height} px, cut into ${tiles.length} tiles`"
          >
            <image :href="image.url" :width="image.canvas.width" :height="image.canvas.height" />
            <rect
              v-for="tile in tiles"
              :key="tile.key"
              class="tile"
              :class="{ out: !tile.taken, looked: looked === tile.key }"
              :x="tile.x"
              :y="tile.y"
              :width="tile.width"
              :height="tile.height"
              @click="toggle(tile.key, tile.taken)"
              @pointerenter="looked = tile.key"
            >
              <title>{{ tile.name }}{{ tile.empty ? ' (empty)' : '' }}</title>
            </rect>
          </svg>
        </div>
        <div class="set">
          <ElSegmented
            v-model="by"
            :options="[
              { value: 'size', label: 'by tile size' },
              { value: 'count', label: 'by columns and rows' },
            ]"
            aria-label="How the sheet is cut"
            size="small"
          />
          <div v-if="by === 'size'" class="row">
            <span>A tile, in px</span>
            <span
              ><NumberWord v-model="size.width" label="Tile width" :bounds="SHEET_BOUNDS.tile" /> ×
              <NumberWord v-model="size.height" label="Tile height" :bounds="SHEET_BOUNDS.tile"
            /></span>
          </div>
          <div v-else class="row">
            <span>Columns and rows</span>
            <span
              ><NumberWord v-model="count.columns" label="Columns" :bounds="SHEET_BOUNDS.count" /> ×
              <NumberWord v-model="count.rows" label="Rows" :bounds="SHEET_BOUNDS.count"
            /></span>
          </div>
          <div class="row">
            <span>Margin round all, in px</span>
            <NumberWord v-model="edge.margin" label="Margin" :bounds="SHEET_BOUNDS.edge" />
          </div>
          <div class="row">
            <span>Spacing between tiles</span>
            <NumberWord v-model="edge.spacing" label="Spacing" :bounds="SHEET_BOUNDS.edge" />
          </div>
          <p v-if="sheet && !sheet.ok" class="problem" role="alert">{{ sheet.problem.message }}.</p>
          <p v-else class="soft" role="status">
            {{ chosen.length }} of {{ tiles.length }} tiles{{
              empty.size ? `; ${empty.size} empty left out` : ''
            }}{{ left ? `; ${left}` : '' }}.
          </p>
          <ul class="names" aria-label="Names of the tiles">
            <li v-for="tile in chosen" :key="tile.key" :class="{ looked: looked === tile.key }">
              <svg
                class="mini"
                :viewBox="`${tile.x} ${tile.y} ${tile.width} ${tile.height}`"
                aria-hidden="true"
              >
                <image :href="image.url" :width="image.canvas.width" :height="image.canvas.height" />
              </svg>
              <input
                :value="tile.name"
                :aria-label="`Name of the tile in row ${tile.row + 1}, column ${tile.column + 1}`"
                :maxlength="LENGTHS.name"
                @change="rename(tile.key, $event)"
                @focus="looked = tile.key"
              />
              <button
                class="icon"
                type="button"
                :aria-label="`Leave ${tile.name} out`"
                title="Leave it out"
                @click="toggle(tile.key, true)"
              >
                ×
              </button>
            </li>
          </ul>
        </div>
      </template>
    </div>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <input
      ref="picker"
      class="hidden-text"
      type="file"
      accept="image/*"
      tabindex="-1"
      aria-label="The sheet"
      @change="take(($event.target as HTMLInputElement).files)"
    />
    <template #buttons>
      <button v-if="image" class="btn" type="button" @click="picker?.click()">
        <IconFile />Another sheet
      </button>
      <button class="btn" type="button" @click="open = false">Cancel</button>
      <button class="btn main" type="button" :disabled="!chosen.length" @click="add">
        {{ chosen.length === 1 ? 'Add 1 pair' : `Add ${chosen.length} pairs` }}
      </button>
    </template>
  </ModalDialog>
</template>

<style scoped>
.drop {
  min-height: 320px;
  border-radius: var(--round-card);
}
.drop.started {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 290px;
  gap: 20px;
}
.drop.over {
  outline: 2px dashed var(--lagoon);
  outline-offset: 6px;
}
.none {
  display: grid;
  justify-items: center;
  gap: 16px;
  padding: 110px 40px;
}
.sight {
  display: grid;
  place-items: center;
  height: min(520px, 60vh);
  padding: 10px;
  border: 1px solid var(--line);
  border-radius: var(--round-card);
  background: repeating-conic-gradient(#ece4d4 0 25%, #fdfaf3 0 50%) 0 0 / 18px 18px;
}
.sight svg {
  width: 100%;
  height: 100%;
}
.tile {
  fill: #1f7f8000;
  stroke: #1f7f80;
  stroke-width: 2;
  vector-effect: non-scaling-stroke;
  cursor: pointer;
}
.tile:hover,
.tile.looked {
  fill: #1f7f8033;
}
.tile.out {
  fill: #f6f1e7c4;
  stroke: #a8322a;
  stroke-dasharray: 4 4;
}
.set {
  display: grid;
  grid-template-rows: auto auto auto auto auto minmax(0, 1fr);
  align-content: start;
  max-height: min(520px, 60vh);
}
.row {
  display: flex;
  align-items: center;
  justify-content: space-between;
  min-height: 36px;
  border-bottom: 1px solid var(--sand);
  color: var(--ink-soft);
}
.row > span:last-child {
  color: var(--ink);
}
.set .soft,
.set .problem {
  padding: 8px 0;
}
.names {
  display: grid;
  align-content: start;
  gap: 4px;
  min-height: 80px;
  margin: 0;
  padding: 2px;
  overflow-y: auto;
  list-style: none;
}
.names li {
  display: flex;
  align-items: center;
  gap: 8px;
  border-radius: var(--round);
}
.names li.looked {
  background: var(--lagoon-pale);
}
.mini {
  flex: none;
  width: 30px;
  height: 30px;
}
.names input {
  flex: 1;
  min-width: 0;
  padding: 3px 6px;
  border: 1px solid transparent;
  border-radius: var(--round);
  background: none;
  color: inherit;
  font: 500 15px var(--body);
}
.names input:hover,
.names input:focus {
  border-color: var(--line);
  background: #fff;
}
.icon {
  width: 28px;
  height: 28px;
  border: 0;
  background: none;
  color: var(--ink-soft);
  font-size: 18px;
  cursor: pointer;
}
.problem {
  color: var(--brick);
  font-weight: 600;
}
</style>
