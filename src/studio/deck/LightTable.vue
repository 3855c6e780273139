<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import { visionMatrix, VISIONS, type Vision } from '../../core/deck/vision.ts'
import type { Pair } from '../../core/game/game.ts'
import { useSortable } from '../look/useSortable.ts'
import PairTile from './PairTile.vue'
import TieThreads from './TieThreads.vue'
import type { Tie } from './useLookAlikes.ts'
import { useRubberBand } from './useRubberBand.ts'
import type { useSelection } from './useSelection.ts'
import { useTileGrid } from './useTileGrid.ts'

/** The pairs, lying on light: chosen by click, by a box, by keys; put in order by dragging; seen as another eye sees them. */
const props = defineProps<{
  pairs: readonly Pair[]
  selection: ReturnType<typeof useSelection>
  ties: readonly Tie[]
  vision: Vision
  /** whether what is shown is the whole deck, so that its order can be changed */
  whole: boolean
}>()
const emit = defineEmits<{ move: [ids: string[], to: number]; step: [by: number]; remove: [] }>()

const ground = ref<HTMLElement>()
const table = ref<HTMLElement>()
const { chosen, lead, press, only, these, all } = props.selection

const { perRow, height, middleOf } = useTileGrid(
  ground,
  computed(() => props.pairs.length),
)
/** While the table scrolls, a shield keeps hundreds of tiles from looking out for the pointer: that costs more than all the rest. */
const shield = ref<HTMLElement>()
const STILL = 150
let still = 0
function scrolls(): void {
  if (shield.value) shield.value.hidden = false
  clearTimeout(still)
  still = window.setTimeout(() => shield.value && (shield.value.hidden = true), STILL)
}

/** A press that fell on the shield is for the tile under it. */
let shielded = false
function pressed(event: PointerEvent): void {
  shielded = event.target === shield.value
  down(event)
}
function pressThrough(event: MouseEvent): void {
  if (!shielded || !shield.value) return
  shielded = false
  shield.value.hidden = true
  const under = document.elementFromPoint(event.clientX, event.clientY)
  under?.closest('[role=option]')?.dispatchEvent(new MouseEvent('click', event))
}

const tied = computed(() => new Set(seen.value.flatMap(({ one, other }) => [one, other])))
const seen = computed(() => {
  const here = new Set(props.pairs.map(({ id }) => id))
  return props.ties.filter(({ one, other }) => here.has(one) && here.has(other))
})
/** the one tile that the Tab key reaches */
const reached = computed(() => (props.pairs.some(({ id }) => id === lead.value) ? lead.value : null))
/** the middle of a tile's cards, by the id of its pair */
const middles = computed(() => {
  const found = new Map<string, { x: number; y: number }>()
  props.pairs.forEach(({ id }, i) => {
    if (tied.value.has(id)) found.set(id, middleOf(i))
  })
  return found
})

/** A chosen tile that is dragged takes all that are chosen along. */
const allowDragging = useSortable(table, (from, to) => {
  const id = props.pairs[from]?.id
  if (id === undefined) return
  const ids = chosen.value.has(id) ? props.selection.inOrder.value : [id]
  const along = new Set(ids)
  const others = props.pairs.map((pair) => pair.id)
  const [gone] = others.splice(from, 1)
  others.splice(to, 0, gone!)
  emit('move', [...ids], others.slice(0, others.indexOf(id)).filter((one) => !along.has(one)).length)
})
// a filtered table shows no order to change
watch(
  () => props.whole,
  (whole) => allowDragging(whole),
)

const tiles = (): { id: string; element: HTMLElement }[] =>
  [...(table.value?.children ?? [])].map((element) => ({
    id: (element as HTMLElement).dataset.pair!,
    element: element as HTMLElement,
  }))
const { band, down } = useRubberBand(ground, tiles, (ids, add) =>
  these(add ? [...chosen.value, ...ids] : ids),
)

async function focusLead(): Promise<void> {
  await nextTick()
  const tile = table.value?.querySelector<HTMLElement>(`[data-pair="${CSS.escape(lead.value ?? '')}"]`)
  tile?.scrollIntoView({ block: 'nearest' })
  tile?.focus({ preventScroll: true })
}
defineExpose({ focusLead })

/** Arrow keys go from tile to tile, with Shift choosing on the way, with Alt moving what is chosen. */
function key(event: KeyboardEvent): void {
  if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'a') {
    event.preventDefault()
    return all()
  }
  if (event.key === 'Delete' || event.key === 'Backspace') return emit('remove')
  if (event.key === 'Escape') return only(null)
  const steps: Record<string, number> = {
    ArrowLeft: -1,
    ArrowRight: 1,
    ArrowUp: -perRow.value,
    ArrowDown: perRow.value,
    Home: -Infinity,
    End: Infinity,
  }
  const by = steps[event.key]
  if (by === undefined) return
  event.preventDefault()
  if (event.altKey) return emit('step', Math.sign(by))
  const at = props.pairs.findIndex(({ id }) => id === lead.value)
  const next = props.pairs[Math.max(0, Math.min(props.pairs.length - 1, at + by))]
  if (!next) return
  press(next.id, { shiftKey: event.shiftKey, ctrlKey: false, metaKey: false })
  void focusLead()
}

const matrix = (vision: Vision): string =>
  [...visionMatrix(vision).map((row) => `${row.map((n) => n.toFixed(6)).join(' ')} 0 0`), '0 0 0 1 0'].join(
    ' ',
  )
</script>

<template>
  <div class="glass">
    <svg class="filters" aria-hidden="true">
      <filter
        v-for="kind in VISIONS.slice(1)"
        :id="`seen-${kind}`"
        :key="kind"
        color-interpolation-filters="sRGB"
      >
        <feColorMatrix type="matrix" :values="matrix(kind)" />
      </filter>
    </svg>
    <div
      ref="ground"
      class="scroll"
      :style="{ filter: vision === 'everyone' ? undefined : `url(#seen-${vision})` }"
      @pointerdown="pressed"
      @scroll.passive="scrolls"
    >
      <div class="sheet" @click="pressThrough">
        <ul ref="table" role="listbox" aria-label="Pairs" aria-multiselectable="true" @keydown="key">
          <PairTile
            v-for="(one, at) in pairs"
            :key="one.id"
            :reached="reached === null ? at === 0 : one.id === reached"
            :pair="one"
            :chosen="chosen.has(one.id)"
            :alike="tied.has(one.id)"
            @choose="press(one.id, $event)"
          />
        </ul>
        <TieThreads v-if="seen.length" :ties="seen" :vision="vision" :middles="middles" :height="height" />
        <div ref="shield" class="shield" hidden />
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
}
.sheet {
  position: relative;
  min-height: 100%;
  will-change: transform;
}
.filters {
  position: absolute;
  width: 0;
  height: 0;
}
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(152px, 1fr));
  grid-auto-rows: 130px;
  gap: 10px;
  margin: 0;
  padding: 18px;
  list-style: none;
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
