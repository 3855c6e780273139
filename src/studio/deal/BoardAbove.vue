<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, onMounted, ref } from 'vue'
import { NO_CARD, pairOf, sideOf } from '../../core/deck/card.ts'
import { cellName } from '../../core/deal/cells.ts'
import type { Cells } from '../../core/deal/deal.ts'
import { layoutIn } from '../../core/deal/frames.ts'
import { cellAt, layout, tableStage } from '../../core/deal/geometry.ts'
import type { Face } from '../../core/game/game.ts'
import { CARD_RATIO, type Settings } from '../../core/game/settings.ts'
import { faceWords } from '../../player/face.ts'
import BackView from '../cards/BackView.vue'
import FaceView from '../cards/FaceView.vue'
import { vFacePicture } from '../cards/face-picture.ts'
import { useBench } from '../store/bench.ts'
import { useView } from '../store/view.ts'
import LensOver from './LensOver.vue'
import { useCardDrag } from './useCardDrag.ts'

/**
 * The board seen from above, with real cards where the geometry puts them: filling the table, or to scale on the chosen screen. A press makes a
 * cell a gap, or fills it; a card dragged onto another changes places with it.
 */
const props = defineProps<{ settings: Settings; cells: Cells | null }>()
const emit = defineEmits<{ swap: [from: number, to: number] }>()
const bench = useBench()
const view = useView()
const box = ref<HTMLElement>()
const size = ref({ width: 600, height: 500 })
const cursor = ref(0)
const looked = ref(-1)

const board = computed(() => props.settings.board)
/** the table in px of the frame, and how large such a px is drawn */
const stage = computed(() => {
  const { rows, columns } = board.value
  const { width, height } = size.value
  if (!view.frame) {
    const made = layout(tableStage(width, height, CARD_RATIO[props.settings.look.shape]), rows, columns)
    return { ...made, width, height, scale: 1 }
  }
  const made = layoutIn(view.frame, props.settings)
  const scale = Math.min((width - 16) / made.width, (height - 16) / made.height)
  return { ...made, scale }
})
const places = computed(() => stage.value.places)
/** Small cards are drawn once as pictures: hundreds of them are laid anew at every change. */
const SMALL_CARD = 34
const small = computed(() => stage.value.card.width * stage.value.scale <= SMALL_CARD)
const origin = computed(() => ({
  x: (size.value.width - stage.value.width * stage.value.scale) / 2,
  y: (size.value.height - stage.value.height * stage.value.scale) / 2,
}))
const gaps = computed(() => new Set(board.value.gaps))
const faces = computed(() => view.lens !== 'backs')

const named = (cell: number): { name: string; gap: boolean; face: Face | null; words: string } => {
  const name = cellName(cell, board.value.columns)
  const gap = gaps.value.has(name)
  const card = props.cells?.[cell]
  if (gap || card === undefined || card === NO_CARD)
    return { name, gap, face: null, words: gap ? 'a gap' : 'a card' }
  const pair = bench.game!.deck.pairs[pairOf(card)]!
  const face = (sideOf(card) === 'b' && pair.b) || pair.a
  return { name, gap, face, words: faceWords(face, pair.name) }
}
const drawn = computed(() => places.value.map((place, cell) => ({ ...named(cell), place, cell })))

const { drag, down, wasDrag } = useCardDrag(
  (x, y) => {
    const { left, top } = box.value!.getBoundingClientRect()
    const { scale } = stage.value
    return cellAt(stage.value, (x - left - origin.value.x) / scale, (y - top - origin.value.y) / scale)
  },
  (cell) => props.cells !== null && props.cells[cell] !== NO_CARD && !drawn.value[cell]?.gap,
  (from, to) => emit('swap', from, to),
)

function toggle(name: string): void {
  if (wasDrag()) return
  const now = board.value.gaps
  const next = gaps.value.has(name) ? now.filter((gap) => gap !== name) : [...now, name]
  bench.set('board', { gaps: next }, gaps.value.has(name) ? `fill ${name}` : `make ${name} a gap`, 'single')
}

async function arrow(event: KeyboardEvent): Promise<void> {
  const { rows, columns } = board.value
  const row = Math.floor(cursor.value / columns)
  const column = cursor.value % columns
  const to: Record<string, [number, number]> = {
    ArrowLeft: [row, column - 1],
    ArrowRight: [row, column + 1],
    ArrowUp: [row - 1, column],
    ArrowDown: [row + 1, column],
    Home: [row, 0],
    End: [row, columns - 1],
  }
  const next = to[event.key]
  if (!next || event.altKey) return
  event.preventDefault()
  const [r, c] = next
  if (r < 0 || r >= rows || c < 0 || c >= columns) return
  const goal = r * columns + c
  const card = (cell: number): boolean => props.cells !== null && props.cells[cell] !== NO_CARD
  if (event.shiftKey && card(cursor.value) && card(goal)) emit('swap', cursor.value, goal)
  cursor.value = goal
  await nextTick()
  box.value?.querySelector<HTMLElement>(`[data-at="${cursor.value}"]`)?.focus()
}

const watched = new ResizeObserver(([entry]) => {
  if (entry) size.value = { width: entry.contentRect.width, height: entry.contentRect.height }
})
onMounted(() => watched.observe(box.value!))
onBeforeUnmount(() => watched.disconnect())
</script>

<template>
  <div ref="box" class="board" @keydown="arrow" @pointerleave="looked = -1">
    <div
      class="stage"
      :class="{ framed: view.frame, small }"
      :style="{
        left: `${origin.x}px`,
        top: `${origin.y}px`,
        width: `${stage.width * stage.scale}px`,
        height: `${stage.height * stage.scale}px`,
      }"
    >
      <button
        v-for="one in drawn"
        :key="one.cell"
        v-memo="[
          one,
          stage.scale,
          small,
          faces,
          settings.look.shape,
          drag?.from === one.cell && drag,
          drag?.over === one.cell,
          view.lens,
          one.cell === Math.min(cursor, drawn.length - 1),
          bench.game!.deck.back,
        ]"
        v-face-picture="faces && small ? one.face : null"
        class="cell"
        :class="{
          gap: one.gap,
          bare: !one.face,
          dragged: drag?.from === one.cell,
          under: drag?.over === one.cell,
          dim: view.lens === 'threads' || view.lens === 'measures',
        }"
        type="button"
        :data-at="one.cell"
        :tabindex="one.cell === Math.min(cursor, drawn.length - 1) ? 0 : -1"
        :aria-label="`${one.name}, ${one.words}`"
        :title="`${one.name}: ${one.words}. Press to ${one.gap ? 'fill it' : 'make it a gap'}${one.face ? '; drag to swap' : ''}.`"
        :style="{
          left: `${one.place.x * stage.scale}px`,
          top: `${one.place.y * stage.scale}px`,
          width: `${one.place.width * stage.scale}px`,
          height: `${one.place.height * stage.scale}px`,
          transform: drag?.from === one.cell ? `translate(${drag.x}px, ${drag.y}px) scale(1.04)` : undefined,
        }"
        @focus="((cursor = one.cell), (looked = one.cell))"
        @pointerenter="looked = one.cell"
        @pointerdown="down($event, one.cell)"
        @click="toggle(one.name)"
      >
        <template v-if="one.face && faces && small" />
        <FaceView v-else-if="one.face && faces" :face="one.face" :shape="settings.look.shape" />
        <BackView v-else-if="!one.gap" :back="bench.game!.deck.back" />
      </button>
      <LensOver
        v-if="cells"
        :lens="view.lens"
        :cells="cells"
        :columns="board.columns"
        :places="places"
        :scale="stage.scale"
        :looked="looked"
      />
    </div>
  </div>
</template>

<style scoped>
.board {
  position: relative;
  min-height: 0;
}
.stage {
  position: absolute;
}
.stage.framed {
  border-radius: 4px;
  background: #0000001f;
  outline: 1.5px dashed #ffffff59;
}
.cell {
  position: absolute;
  padding: 0;
  border: 0;
  border-radius: 9px;
  background: var(--card);
  box-shadow:
    0 1px 1px #0003,
    0 4px 9px #0a0a2438;
  cursor: pointer;
  touch-action: none;
}
/* hundreds of soft shadows would hold the page up */
.small .cell {
  border-radius: 4px;
  background: var(--card) center / contain no-repeat;
  box-shadow: none;
}
.cell:hover {
  box-shadow:
    0 0 0 2px #fff,
    0 6px 14px #0a0a2460;
}
.cell.dim :deep(.lt-face img),
.cell.dim :deep(.lt-text) {
  opacity: 0.42;
}
.cell.gap {
  border: 1.5px dashed #ffffff40;
  background: none;
  box-shadow: none;
}
.cell.gap:hover {
  background: #ffffff17;
}
.cell.dragged {
  z-index: 5;
  box-shadow:
    0 0 0 3px var(--apricot),
    0 12px 24px #0a0a2480;
  cursor: grabbing;
  pointer-events: none;
}
.cell.under {
  box-shadow: 0 0 0 4px #5cc4bd;
}
.cell:focus-visible {
  outline: 3px solid #fff;
}
</style>
