<script setup lang="ts">
import { computed, nextTick, ref } from 'vue'
import { visionMatrix, VISIONS, type Vision } from '../../../../core/deck/vision.ts'
import type { Pair } from '../../../../core/deck/pair.ts'
import { sameMembers } from '../../../store/same.ts'
import TieThreads from './TieThreads.vue'
import TileRows from './TileRows.vue'
import type { Tie } from './useLookAlikes.ts'
import { useRubberBand } from './useRubberBand.ts'
import type { useSelection } from './useSelection.ts'
import { useShield } from './useShield.ts'
import { ROWS, useTileBlocks } from './useTileBlocks.ts'
import { useTileGrid } from './useTileGrid.ts'
import type { DropPlace } from './useTileDrag.ts'
import { useTileKeys } from './useTileKeys.ts'

/** The pairs on the light table: selected by click, box or keys; sorted by dragging; seen as another eye sees them. */
const props = defineProps<{
  pairs: readonly Pair[]
  selection: ReturnType<typeof useSelection>
  ties: readonly Tie[]
  vision: Vision
  /** whether the whole deck is shown, so that its order can be changed */
  whole: boolean
}>()
const emit = defineEmits<{ move: [ids: string[], to: number]; step: [by: number]; remove: [] }>()

const ground = ref<HTMLElement>()
const table = ref<HTMLElement>()
const { chosen, lead, these } = props.selection

const { perRow, height, middleOf, lineAt, isInView } = useTileGrid(
  ground,
  computed(() => props.pairs.length),
)
/** the place of the tile that keys move from, or -1 */
const leadAt = computed(() => props.pairs.findIndex(({ id }) => id === lead.value))
const { blocks, laid } = useTileBlocks(() => props.pairs, perRow, isNear)
/** Whether a block is in view, or has the tile that keys move from. */
function isNear(block: number): boolean {
  return isInView(block * ROWS, ROWS) || Math.floor(leadAt.value / (perRow.value * ROWS)) === block
}

const shield = ref<HTMLElement>()
const { raise, lower, press: pressTile, click } = useShield(shield)

/** the same value while the same tiles are tied, so that they are not all checked at every edit */
const tied = computed<ReadonlySet<string>>((before) => {
  const now = new Set(visible.value.flatMap(({ one, other }) => (one === null ? [other] : [one, other])))
  return before && sameMembers([...before], [...now]) ? before : now
})
const visible = computed(() => {
  const here = new Set(props.pairs.map(({ id }) => id))
  return props.ties.filter(({ one, other }) => one !== null && here.has(one) && here.has(other))
})
/** the one tile that the Tab key reaches */
const focusId = computed(() => (leadAt.value >= 0 ? lead.value : props.pairs[0]?.id))
/** the middle of a tile's cards, by the id of its pair */
const middles = computed(() => {
  const places = new Map<string, { x: number; y: number }>()
  props.pairs.forEach(({ id }, i) => {
    if (tied.value.has(id)) places.set(id, middleOf(i))
  })
  return places
})

/** the place of the dragged tile if it were dropped now */
const place = ref<DropPlace | null>(null)
const placeLine = computed(() => {
  if (!place.value) return null
  const at = props.pairs.findIndex(({ id }) => id === place.value!.beside)
  return at < 0 ? null : lineAt(at, place.value.after)
})
/** Dragging a selected tile takes the whole selection along. */
function dragged(id: string | null): void {
  const to = place.value
  place.value = null
  if (!to || id === null) return
  const ids = chosen.value.has(id) ? props.selection.inOrder.value : [id]
  const along = new Set(ids)
  const at = props.pairs.findIndex((pair) => pair.id === to.beside) + Number(to.after)
  emit('move', [...ids], props.pairs.slice(0, at).filter((pair) => !along.has(pair.id)).length)
}

const tiles = (): { id: string; element: HTMLElement }[] =>
  [...(table.value?.querySelectorAll<HTMLElement>('[role=option]') ?? [])].map((element) => ({
    id: element.dataset.pair!,
    element,
  }))
const { band, down } = useRubberBand(ground, tiles, (ids, add) =>
  these(add ? [...chosen.value, ...ids] : ids),
)

/** Puts the focus on a tile, and scrolls to it at the next frame: at once, the page would be laid out twice. */
function focusOn(id: string | null): void {
  const tile = table.value?.querySelector<HTMLElement>(`[data-pair="${CSS.escape(id ?? '')}"]`)
  if (!tile) return
  if (document.activeElement !== tile) tile.focus({ preventScroll: true })
  requestAnimationFrame(() => tile.scrollIntoView({ block: 'nearest' }))
}
async function focusLead(): Promise<void> {
  await nextTick()
  focusOn(lead.value)
}
defineExpose({ focusLead, focusOn })

const { pick, key } = useTileKeys({
  pairs: () => props.pairs,
  selection: props.selection,
  perRow,
  leadAt,
  focusLead: () => void focusLead(),
  remove: () => emit('remove'),
  step: (by) => emit('step', by),
})

const matrix = (vision: Vision): string =>
  [...visionMatrix(vision).map((row) => `${row.map((n) => n.toFixed(6)).join(' ')} 0 0`), '0 0 0 1 0'].join(
    ' ',
  )
const FILTERS = VISIONS.slice(1).map((vision) => ({ vision, matrix: matrix(vision) }))
</script>

<template>
  <div class="glass">
    <svg class="filters" aria-hidden="true">
      <filter
        v-for="filter in FILTERS"
        :id="`seen-${filter.vision}`"
        :key="filter.vision"
        color-interpolation-filters="sRGB"
      >
        <feColorMatrix type="matrix" :values="filter.matrix" />
      </filter>
    </svg>
    <div
      ref="ground"
      class="scroll"
      :style="{ filter: vision === 'everyone' ? undefined : `url(#seen-${vision})` }"
      @pointerdown="pressTile($event) || down($event)"
      @scroll.passive="raise"
    >
      <div class="sheet" @click="click">
        <div
          ref="table"
          class="table"
          role="listbox"
          aria-label="Pairs"
          aria-multiselectable="true"
          @click="pick"
          @keydown="key"
        >
          <TileRows
            v-for="(block, i) in blocks"
            :key="i"
            :pairs="laid[i]!"
            :rows="Math.ceil(block.length / perRow)"
            :per-row="perRow"
            :fixed="!whole"
            :chosen="chosen"
            :alike="tied"
            :reached="focusId"
            @over="place = $event"
            @end="dragged"
          />
        </div>
        <TieThreads
          v-if="visible.length"
          :ties="visible"
          :vision="vision"
          :middles="middles"
          :height="height"
        />
        <div ref="shield" class="shield" hidden @pointermove="lower" />
        <div v-if="placeLine" class="place" :style="placeLine" />
        <div
          v-if="band"
          class="band"
          :style="{
            left: `${band.left}px`,
            top: `${band.top}px`,
            width: `${band.width}px`,
            height: `${band.height}px`,
          }"
        />
      </div>
      <slot />
    </div>
  </div>
</template>

<style scoped>
.glass {
  position: relative;
  min-height: 0;
  overflow: hidden;
  border: 1px solid var(--line);
  border-radius: var(--round-card);
  background: radial-gradient(circle at 50% 40%, #fff 0, #fdfaf3 45%, #f3ebdc 100%);
  box-shadow: inset 0 0 24px #d8caae80;
  user-select: none;
}
.scroll {
  position: relative;
  height: 100%;
  overflow-y: auto;
  will-change: scroll-position;
}
.sheet {
  position: relative;
  min-height: 100%;
}
.filters {
  position: absolute;
  width: 0;
  height: 0;
}
.table {
  display: grid;
  gap: 10px;
  padding: 18px;
}
.place {
  position: absolute;
  width: 4px;
  border-radius: 2px;
  background: var(--lagoon);
  pointer-events: none;
}
.shield {
  position: absolute;
  inset: 0;
}
.shield[hidden] {
  display: none;
}
.band {
  position: absolute;
  border: 1.5px solid var(--lagoon);
  border-radius: 3px;
  background: #1f7f801f;
  pointer-events: none;
}
</style>
