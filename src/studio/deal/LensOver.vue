<script setup lang="ts">
import { computed } from 'vue'
import { cardsMatch, NO_CARD } from '../../core/deck/card.ts'
import type { Cells } from '../../core/deal/deal.ts'
import type { Place } from '../../core/deal/geometry.ts'
import { stepsBetween } from '../../core/deal/steps.ts'
import type { Lens } from '../store/view.ts'

/**
 * What a lens draws over the cards. `places` are in px of the frame, drawn at `scale`. Threads join twins, where a pair lies more than once
 * each card to its nearest; the thread of the cell that is looked at stands out.
 */
const props = defineProps<{
  lens: Lens
  cells: Cells
  columns: number
  places: readonly Place[]
  scale: number
  looked: number
}>()

/** For every card the nearest that matches it, −1 for none. */
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
  const { x, y, width, height } = props.places[cell]!
  return { x: (x + width / 2) * props.scale, y: (y + height / 2) * props.scale }
}
const threads = computed(() =>
  twins.value.flatMap((twin, cell) => {
    if (twin < 0 || (twin < cell && twins.value[twin] === cell)) return []
    const [a, b] = [middle(cell), middle(twin)]
    // a bow to the side, so that threads along a row do not lie on each other
    const bow = 0.16
    const [cx, cy] = [(a.x + b.x) / 2 + (a.y - b.y) * bow, (a.y + b.y) / 2 + (b.x - a.x) * bow]
    const looked = cell === props.looked || twin === props.looked
    return [{ cell, a, b, path: `M${a.x} ${a.y}Q${cx} ${cy} ${b.x} ${b.y}`, looked }]
  }),
)
const steps = computed(() =>
  twins.value.map((twin, cell) => (twin < 0 ? null : stepsBetween(cell, twin, props.columns))),
)
const small = computed(() => (props.places[0]?.width ?? 0) * props.scale < 52)
</script>

<template>
  <svg v-if="lens === 'threads'" class="threads" aria-hidden="true">
    <g v-for="{ cell, a, b, path, looked: on } in threads" :key="cell" :class="{ on }">
      <path :d="path" />
      <circle :cx="a.x" :cy="a.y" r="4" />
      <circle :cx="b.x" :cy="b.y" r="4" class="other" />
    </g>
  </svg>
  <template v-else-if="lens === 'steps' || lens === 'measures'">
    <template v-for="(place, cell) in places" :key="cell">
      <span
        v-if="lens === 'steps' ? steps[cell] !== null : cells[cell] !== NO_CARD"
        class="over"
        :class="[lens, { small }]"
        aria-hidden="true"
        :style="{
          left: `${place.x * scale}px`,
          top: `${place.y * scale}px`,
          width: `${place.width * scale}px`,
          height: `${place.height * scale}px`,
        }"
      >
        <b v-if="lens === 'steps'">{{ steps[cell] }}</b>
        <template v-else>
          <i>{{ place.x }}, {{ place.y }}</i>
          <i v-if="!small">{{ place.width }} × {{ place.height }}</i>
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
circle {
  fill: #d9673c;
  stroke: #fffdf8;
  stroke-width: 1.5;
}
circle.other {
  fill: #1f7f80;
}
.on path {
  stroke: #d9673c;
  stroke-width: 4;
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
.steps.small b {
  width: 20px;
  height: 20px;
  font-size: 13px;
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
.measures.small i {
  padding: 0 1px;
  font-size: 12px;
  letter-spacing: -0.03em;
}
</style>
