<script setup lang="ts">
import IconFile from '~icons/ph/upload-simple'
import { ElButton, ElSegmented } from 'element-plus'
import { ref, watch } from 'vue'
import { SHEET_BOUNDS } from '../../../core/deck/sheet.ts'
import type { Pair } from '../../../core/deck/pair.ts'
import { newId } from '../../../core/settings/new-id.ts'
import FilePicker from '../../parts/look/FilePicker.vue'
import ModalDialog from '../../parts/look/ModalDialog.vue'
import NumberWord from '../../parts/settings/NumberWord.vue'
import { useBench } from '../../store/bench.ts'
import SheetNames from './SheetNames.vue'
import { useSheet } from './useSheet.ts'

/** One image cut into tiles: the grid lies over the image while it is set; empty tiles stay out; each tile has a name. */
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ add: [pairs: Pair[]] }>()
const bench = useBench()
const { image, problem, by, size, count, edge, sheet, tiles, chosen, empty, left, ...lain } = useSheet()
const over = ref(false)
const picker = ref<InstanceType<typeof FilePicker>>()
/** the tile that is looked at, in the sheet or in the list */
const looked = ref('')
watch(open, lain.clear)

async function take(files: Iterable<File> = []): Promise<void> {
  over.value = false
  const [file] = files
  if (file) await lain.take(file)
}
function add(): void {
  const ids = bench.game!.deck.pairs.map(({ id }) => id)
  emit(
    'add',
    chosen.value.map((tile) => {
      const id = newId(tile.name, ids, 'tile')
      ids.push(id)
      return { id, name: tile.name, a: { kind: 'image', src: lain.tileSource(tile), alt: tile.name } }
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
        <ElButton class="btn main" @click="picker?.choose()"><IconFile />Choose the sheet</ElButton>
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
              @click="lain.toggle(tile.key, tile.taken)"
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
          <SheetNames
            v-model:looked="looked"
            :tiles="chosen"
            :image="image"
            @rename="lain.rename"
            @leave="lain.toggle($event, true)"
          />
        </div>
      </template>
    </div>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <FilePicker ref="picker" label="The sheet" accept="image/*" @take="take" />
    <template #buttons>
      <ElButton v-if="image" class="btn" @click="picker?.choose()"> <IconFile />Another sheet </ElButton>
      <ElButton class="btn" @click="open = false">Cancel</ElButton>
      <ElButton class="btn main" :disabled="!chosen.length" @click="add">
        {{ chosen.length === 1 ? 'Add 1 pair' : `Add ${chosen.length} pairs` }}
      </ElButton>
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
.problem {
  color: var(--brick);
  font-weight: 600;
}
</style>
