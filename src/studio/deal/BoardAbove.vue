<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, onMounted, ref } from 'vue'
import { NO_CARD, pairOf, sideOf } from '../../core/deck/card.ts'
import { cellName } from '../../core/deal/cells.ts'
import type { Cells } from '../../core/deal/deal.ts'
import { layout, tableStage } from '../../core/deal/geometry.ts'
import type { Face } from '../../core/game/game.ts'
import { CARD_RATIO, type Settings } from '../../core/game/settings.ts'
import { faceWords } from '../../player/face.ts'
import BackView from '../cards/BackView.vue'
import FaceView from '../cards/FaceView.vue'
import { useBench } from '../store/bench.ts'

/** The board seen from above, with real cards where the geometry puts them. A press makes a cell a gap, or fills it. */
const props = defineProps<{ settings: Settings; cells: Cells | null; faces: boolean }>()
const bench = useBench()
const box = ref<HTMLElement>()
const size = ref({ width: 600, height: 500 })
const cursor = ref(0)

const board = computed(() => props.settings.board)
const places = computed(
  () =>
    layout(
      tableStage(size.value.width, size.value.height, CARD_RATIO[props.settings.look.shape]),
      board.value.rows,
      board.value.columns,
    ).places,
)
const gaps = computed(() => new Set(board.value.gaps))

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

function toggle(name: string): void {
  const now = board.value.gaps
  const next = gaps.value.has(name) ? now.filter((gap) => gap !== name) : [...now, name]
  bench.set('board', { gaps: next }, gaps.value.has(name) ? `fill ${name}` : `make ${name} a gap`)
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
  cursor.value = r * columns + c
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
  <div ref="box" class="board" @keydown="arrow">
    <button
      v-for="{ name, gap, face, words, place, cell } in drawn"
      :key="cell"
      class="cell"
      :class="{ gap, bare: !face }"
      type="button"
      :data-at="cell"
      :tabindex="cell === Math.min(cursor, drawn.length - 1) ? 0 : -1"
      :aria-label="`${name}, ${words}`"
      :title="`${name}: ${words}. Press to ${gap ? 'fill it' : 'make it a gap'}.`"
      :style="{
        left: `${place.x}px`,
        top: `${place.y}px`,
        width: `${place.width}px`,
        height: `${place.height}px`,
      }"
      @focus="cursor = cell"
      @click="toggle(name)"
    >
      <FaceView v-if="face && faces" :face="face" :shape="settings.look.shape" />
      <BackView v-else-if="!gap" :back="bench.game!.deck.back" />
    </button>
  </div>
</template>

<style scoped>
.board {
  position: relative;
  min-height: 0;
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
}
.cell:hover {
  box-shadow:
    0 0 0 2px #fff,
    0 6px 14px #0a0a2460;
}
.cell.gap {
  border: 1.5px dashed #ffffff40;
  background: none;
  box-shadow: none;
}
.cell.gap:hover {
  background: #ffffff17;
}
.cell:focus-visible {
  outline: 3px solid #fff;
}
</style>
