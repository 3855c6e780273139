<script setup lang="ts">
import IconFile from '~icons/ph/upload-simple'
import { ElButton, ElSegmented } from 'element-plus'
import { computed, ref, watch } from 'vue'
import { SHEET_BOUNDS } from '../../../../core/deck/sheet.ts'
import type { Pair } from '../../../../core/deck/pair.ts'
import { newId } from '../../../../core/settings/new-id.ts'
import FilePicker from '../../../parts/files/FilePicker.vue'
import ModalDialog from '../../../parts/look/ModalDialog.vue'
import NumberWord from '../../../parts/settings/NumberWord.vue'
import { useBench } from '../../../store/bench.ts'
import SheetNames from './SheetNames.vue'
import SheetSight from './SheetSight.vue'
import SheetUses from './SheetUses.vue'
import { useSheet } from './useSheet.ts'
import { addWords } from '../edits/useDeckEdits.ts'

/**
 * One image cut into tiles: the grid covers the image while it is set; empty tiles are left out; each tile has a name.
 */
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ add: [pairs: Pair[]] }>()
const bench = useBench()
const { image, problem, by, size, count, edge, sheet, tiles, chosen, empty, left, ...lain } = useSheet()
const over = ref(false)
const picker = ref<InstanceType<typeof FilePicker>>()
/** the current tile, in the sheet or in the list */
const currentTile = ref('')
watch(open, lain.clear)
const use = computed(() => tiles.value.find(({ key }) => key === currentTile.value))
const every = computed(() => tiles.value.map(({ key }) => key))

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
        <div class="whole">
          <div class="acts">
            <span>Take</span>
            <ElButton class="btn small" @click="lain.takeThese(every, true)">all</ElButton>
            <ElButton class="btn small" @click="lain.takeThese(every, false)">none</ElButton>
            <ElButton class="btn small" @click="lain.takeOthers">the others</ElButton>
            <span class="soft">Draw a box over tiles to take them, or to leave them out.</span>
          </div>
          <SheetSight
            v-model:looked="currentTile"
            :image="image"
            :tiles="tiles"
            @take="(some, taken) => lain.takeThese(some, taken)"
          />
          <SheetUses v-if="use" :tile="use" :source="lain.tileSource" />
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
            <span>Margin around all, in px</span>
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
            v-model:looked="currentTile"
            :tiles="chosen"
            :image="image"
            @rename="lain.rename"
            @leave="lain.takeThese([$event], false)"
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
        {{ addWords(chosen.length) }}
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
.whole {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) minmax(32px, auto);
  gap: 10px;
  height: min(560px, 64vh);
}
.acts {
  display: flex;
  align-items: center;
  gap: 8px;
  min-width: 0;
}
.acts .small {
  min-height: 30px;
  height: 30px;
  margin: 0;
  padding: 0 10px;
  font-size: 14px;
}
.set {
  display: grid;
  grid-template-rows: auto auto auto auto auto minmax(0, 1fr);
  align-content: start;
  max-height: min(560px, 64vh);
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
</style>
