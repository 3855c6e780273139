<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, nextTick, ref } from 'vue'
import { NO_CARD, pairOf } from '../../../core/deck/card.ts'
import { backOf } from '../../../core/game/backs.ts'
import { faceOnCard, faceWords } from '../../../core/deck/face.ts'
import { cellName } from '../../../core/board/cells.ts'
import type { Cells } from '../../../core/deal/deal.ts'
import { layoutIn } from '../../../core/board/frames.ts'
import { cellAt, layout, tableSurface } from '../../../core/board/geometry.ts'
import type { Settings } from '../../../core/settings/settings.ts'
import { useBench } from '../../store/bench.ts'
import { useView } from '../../store/view.ts'
import BoardCell, { type SeenCell } from './BoardCell.vue'
import SizeHandles from './SizeHandles.vue'
import LensOver from './LensOver.vue'
import SmallCards from './SmallCards.vue'
import { useCardDrag } from './useCardDrag.ts'

/**
 * The board seen from above, with real cards where the geometry puts them: filling the table, or to scale on the chosen
 * screen. A press makes a cell a gap, or fills it; a card dragged onto another swaps places with it.
 */
const props = defineProps<{ settings: Settings; cells: Cells | null }>()
const emit = defineEmits<{ swap: [from: number, to: number] }>()
const bench = useBench()
const view = useView()
const box = ref<HTMLElement>()
const size = useElementSize(box, { width: 600, height: 500 })
const cursor = ref(0)
const hovered = ref(-1)

const board = computed(() => props.settings.board)
/** the layout if the current drag ended now */
const preview = ref<Partial<Settings['layout']> | null>(null)
const previewed = computed(() => ({
  ...props.settings,
  layout: { ...props.settings.layout, ...preview.value },
}))
/** the table in px of the frame, and the scale at which such a px is drawn */
const surface = computed(() => {
  const { rows, columns } = board.value
  const [width, height] = [size.width.value, size.height.value]
  if (!view.frame) {
    const boardLayout = layout(tableSurface(width, height, previewed.value), rows, columns)
    return { ...boardLayout, width, height, scale: 1 }
  }
  const made = layoutIn(view.frame, previewed.value)
  const scale = Math.min((width - 16) / made.width, (height - 16) / made.height)
  return { ...made, scale }
})
const places = computed(() => surface.value.places)
/** From this many page px on, there are so many cards that they are drawn on one canvas. */
const SMALL_CARD = 34
const small = computed(() => surface.value.card.width * surface.value.scale <= SMALL_CARD)
const origin = computed(() => ({
  x: (size.width.value - surface.value.width * surface.value.scale) / 2,
  y: (size.height.value - surface.value.height * surface.value.scale) / 2,
}))
const gaps = computed(() => new Set(board.value.gaps))
const faces = computed(() => view.lens !== 'backs')

function seenAt(cell: number): SeenCell {
  const name = cellName(cell, board.value.columns)
  const gap = gaps.value.has(name)
  const card = props.cells?.[cell]
  if (gap || card === undefined || card === NO_CARD)
    return { cell, name, gap, face: null, words: gap ? 'a gap' : 'a card' }
  const { pairs } = bench.game!.deck
  const face = faceOnCard(card, pairs)
  return { cell, name, gap, face, words: faceWords(face, pairs[pairOf(card)]!.name) }
}
const peeks = computed(() => places.value.map((_, cell) => seenAt(cell)))
const cursorCell = computed(() => Math.min(cursor.value, peeks.value.length - 1))
/** The cells that are buttons in the page: all of them, or on a large board those near the pointer or the focus. */
const buttons = computed(() => {
  if (!small.value) return peeks.value
  const { from, over } = drag.value ?? {}
  const at = new Set([cursorCell.value, hovered.value, from ?? -1, over ?? -1])
  return [...at].flatMap((cell) => peeks.value[cell] ?? [])
})

/** The cell at a point of the window, −1 for none. */
function cellUnder(x: number, y: number): number {
  const { left, top } = box.value!.getBoundingClientRect()
  const { scale } = surface.value
  return cellAt(surface.value, (x - left - origin.value.x) / scale, (y - top - origin.value.y) / scale)
}
const { drag, down, wasDrag } = useCardDrag(
  cellUnder,
  (cell) => props.cells !== null && props.cells[cell] !== NO_CARD && !peeks.value[cell]?.gap,
  (from, to) => emit('swap', from, to),
)

function toggle(cell: number): void {
  if (wasDrag() || !peeks.value[cell]) return
  const { name } = peeks.value[cell]
  const now = board.value.gaps
  const next = gaps.value.has(name) ? now.filter((gap) => gap !== name) : [...now, name]
  bench.set('board', { gaps: next }, gaps.value.has(name) ? `fill ${name}` : `make ${name} a gap`, 'single')
}

async function arrow(event: KeyboardEvent): Promise<void> {
  const { rows, columns } = board.value
  const row = Math.floor(cursorCell.value / columns)
  const column = cursorCell.value % columns
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
  if (event.shiftKey && card(cursorCell.value) && card(goal)) emit('swap', cursorCell.value, goal)
  cursor.value = goal
  await nextTick()
  box.value?.querySelector<HTMLElement>(`[data-at="${cursor.value}"]`)?.focus()
}
</script>

<template>
  <div
    ref="box"
    class="board"
    role="group"
    aria-label="The board from above"
    @keydown="arrow"
    @pointerleave="hovered = -1"
  >
    <div
      class="surface"
      :class="{ framed: view.frame }"
      :style="{
        left: `${origin.x}px`,
        top: `${origin.y}px`,
        width: `${surface.width * surface.scale}px`,
        height: `${surface.height * surface.scale}px`,
      }"
    >
      <SmallCards
        v-if="small"
        :cells="peeks"
        :away="drag?.from"
        :faces="faces"
        :back="backOf(bench.game!, settings)"
        :surface="surface"
        @pointermove="hovered = cellUnder($event.clientX, $event.clientY)"
        @pointerdown="down($event, cellUnder($event.clientX, $event.clientY))"
        @click="toggle(cellUnder($event.clientX, $event.clientY))"
      />
      <BoardCell
        v-for="one in buttons"
        :key="one.cell"
        :seen="one"
        :place="places[one.cell]!"
        :scale="surface.scale"
        :back="backOf(bench.game!, settings)"
        :faces="faces"
        :small="small"
        :dim="view.lens === 'threads' || view.lens === 'measures'"
        :tabbable="one.cell === cursorCell"
        :under="drag?.over === one.cell"
        :drag="drag?.from === one.cell ? drag : null"
        @focus="((cursor = one.cell), (hovered = one.cell))"
        @pointerenter="hovered = one.cell"
        @pointerdown="down($event, one.cell)"
        @click="toggle(one.cell)"
      />
      <LensOver
        v-if="cells"
        :lens="view.lens"
        :cells="cells"
        :columns="board.columns"
        :surface="surface"
        :small="small"
        :looked="hovered"
      />
      <SizeHandles
        :surface="surface"
        :rows="board.rows"
        :columns="board.columns"
        :small="small"
        @preview="preview = $event"
        @set="(patch, label) => bench.set('layout', patch, label)"
      />
    </div>
  </div>
</template>

<style scoped>
.board {
  position: relative;
  min-height: 0;
}
.surface {
  position: absolute;
}
.board:hover :deep(.handle:not(.small)),
.board:focus-within :deep(.handle:not(.small)) {
  opacity: 0.85;
}
.surface.framed {
  border-radius: 4px;
  background: #0000001f;
  outline: 1.5px dashed #ffffff59;
}
</style>
