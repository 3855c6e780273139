<script setup lang="ts">
import { computed } from 'vue'
import { cardsMatch, NO_CARD } from '../../../core/deck/card.ts'
import type { Cells } from '../../../core/deal/deal.ts'
import { stepsBetween } from '../../../core/board/steps.ts'
import type { Lens } from '../../store/view.ts'
import SmallLabels from './SmallLabels.vue'
import type { DrawnSurface } from './useDrawing.ts'

/**
 * What a lens draws over the cards. Threads join twins; where a pair appears more than once, each card to its nearest
 * twin; the thread of the cell under the pointer stands out. On `small` cards all texts are drawn at once.
 */
const props = defineProps<{
  lens: Lens
  cells: Cells
  columns: number
  surface: DrawnSurface
  small: boolean
  looked: number
}>()

/** For every card the nearest one that matches it, −1 for none. */
const twins = computed(() =>
  props.cells.map((card, cell) => {
    if (card === NO_CARD) return -1
    let best = -1
    props.cells.forEach((other, at) => {
      if (at === cell || other === NO_CARD || !cardsMatch(card, other)) return
      if (best < 0 || stepsBetween(cell, at, props.columns) < stepsBetween(cell, best, props.columns))
        best = at
    })
    return best
  }),
)
const middle = (cell: number): { x: number; y: number } => {
  const { places, scale } = props.surface
  const { x, y, width, height } = places[cell]!
  return { x: (x + width / 2) * scale, y: (y + height / 2) * scale }
}
type Thread = { path: string; from: string; to: string }
/** The threads of some cells, and the dots at their ends, as one path each. */
function threadsOf(applies: (cell: number, twin: number) => boolean): Thread {
  const all: Thread = { path: '', from: '', to: '' }
  twins.value.forEach((twin, cell) => {
    if (twin < 0 || (twin < cell && twins.value[twin] === cell) || !applies(cell, twin)) return
    const [a, b] = [middle(cell), middle(twin)]
    // curved to the side, so that threads along a row do not overlap
    const bow = 0.16
    const [cx, cy] = [(a.x + b.x) / 2 + (a.y - b.y) * bow, (a.y + b.y) / 2 + (b.x - a.x) * bow]
    all.path += `M${a.x} ${a.y}Q${cx} ${cy} ${b.x} ${b.y}`
    all.from += `M${a.x} ${a.y}h0`
    all.to += `M${b.x} ${b.y}h0`
  })
  return all
}
const isLooked = (cell: number, twin: number): boolean => cell === props.looked || twin === props.looked
const threads = computed(() =>
  props.lens === 'threads'
    ? [
        { on: false, ...threadsOf(() => true) },
        { on: true, ...threadsOf(isLooked) },
      ]
    : [],
)
const steps = computed(() =>
  twins.value.map((twin, cell) => (twin < 0 ? null : stepsBetween(cell, twin, props.columns))),
)
/** the card width in page px from which its size is written on it too */
const WIDE = 52
const labels = computed(() =>
  props.surface.places.map(({ x, y }, cell) => {
    if (props.lens === 'steps') return String(steps.value[cell] ?? '')
    // small cards have room for one number: along the first row x, along the first column y
    if (props.small) return cell < props.columns ? String(x) : cell % props.columns ? '' : String(y)
    return props.cells[cell] === NO_CARD ? '' : `${x}, ${y}`
  }),
)
</script>

<template>
  <svg v-if="lens === 'threads'" class="threads" aria-hidden="true">
    <g v-for="{ on, path, from, to } in threads" :key="String(on)" :class="{ on }">
      <path :d="path" />
      <template
        v-for="[end, d] in [
          ['from', from],
          ['to', to],
        ] as const"
        :key="end"
      >
        <path class="edge" :d="d" />
        <path class="dot" :class="end" :d="d" />
      </template>
    </g>
  </svg>
  <template v-else-if="lens === 'steps' || lens === 'measures'">
    <SmallLabels v-if="small" :labels="labels" :surface="surface" />
    <template v-for="({ x, y, width, height }, cell) in surface.places" v-else :key="cell">
      <span
        v-if="labels[cell]"
        class="over"
        :class="lens"
        aria-hidden="true"
        :style="{
          left: `${x * surface.scale}px`,
          top: `${y * surface.scale}px`,
          width: `${width * surface.scale}px`,
          height: `${height * surface.scale}px`,
        }"
      >
        <b v-if="lens === 'steps'">{{ labels[cell] }}</b>
        <template v-else>
          <i>{{ labels[cell] }}</i>
          <i v-if="width * surface.scale >= WIDE">{{ width }} × {{ height }}</i>
        </template>
      </span>
    </template>
  </template>
</template>

<style scoped>
.threads {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  overflow: visible;
  pointer-events: none;
}
path {
  fill: none;
  stroke: #1f7f80;
  stroke-width: 2;
  stroke-linecap: round;
}
.on path {
  stroke: #d9673c;
  stroke-width: 4;
}
.threads .edge {
  stroke: #fffdf8;
  stroke-width: 10;
}
.threads .dot {
  stroke: #1f7f80;
  stroke-width: 7;
}
.threads .dot.from {
  stroke: #d9673c;
}
.over {
  position: absolute;
  display: grid;
  place-content: center;
  justify-items: center;
  pointer-events: none;
}
.steps b {
  display: grid;
  place-items: center;
  width: 30px;
  height: 30px;
  border-radius: 50%;
  background: var(--ink);
  color: var(--card);
  font: 700 16px/1 var(--body);
  box-shadow: 0 0 0 2px var(--card);
}
.measures {
  align-content: space-between;
  padding: 5% 2px;
}
.measures i {
  padding: 0 4px;
  border-radius: 4px;
  background: #fffdf8e8;
  color: var(--ink);
  font: 600 13px/1.4 var(--body);
  white-space: nowrap;
}
</style>
