<script setup lang="ts">
import { computed, ref } from 'vue'
import { dragValue, keyValue } from '../../parts/settings/slider.ts'
import { PLOT } from './ladder-chart.ts'

/** The two ends of the wanted band, dragged up and down over the chart or moved by keys: wins of 100. */
const props = defineProps<{ levels: number }>()
const band = defineModel<[number, number]>({ required: true })
const NAMES = ['Wins wanted on the first level', 'Wins wanted on the last level'] as const
const [LEAST, MOST] = [1, 100]
/** levels are in the middle of their part of the axis */
const ends = computed(() =>
  NAMES.map((name, end) => ({
    name,
    value: band.value[end]!,
    across: (end === 0 ? 0.5 : props.levels - 0.5) / props.levels,
  })).slice(0, props.levels > 1 ? 2 : 1),
)
const set = (end: number, value: number): void => {
  const next: [number, number] = [...band.value]
  next[end] = Math.max(LEAST, Math.min(MOST, Math.round(value)))
  band.value = next
}
const heldEnd = ref(-1)
function hold(event: PointerEvent, end: number): void {
  heldEnd.value = end
  dragValue(
    event,
    band.value[end]!,
    100,
    (value) => set(end, value),
    () => (heldEnd.value = -1),
    { up: true },
  )
}
function byKey(event: KeyboardEvent, end: number): void {
  const value = keyValue(event, band.value[end]!, [LEAST, MOST], { step: 1, big: 10 })
  if (value !== null) set(end, value)
}
</script>

<template>
  <div
    class="ends"
    :style="{
      left: `${PLOT.left}px`,
      right: `${PLOT.right}px`,
      top: `${PLOT.top}px`,
      bottom: `${PLOT.bottom}px`,
    }"
  >
    <span
      v-for="({ name, value, across }, end) in ends"
      :key="name"
      role="slider"
      tabindex="0"
      :aria-label="name"
      :aria-valuenow="value"
      :aria-valuemin="LEAST"
      :aria-valuemax="MOST"
      :aria-valuetext="`${value} of 100`"
      aria-orientation="vertical"
      :class="{ held: heldEnd === end }"
      :style="{ left: `${across * 100}%`, top: `${100 - value}%` }"
      @pointerdown.prevent="hold($event, end)"
      @keydown="byKey($event, end)"
    />
  </div>
</template>

<style scoped>
.ends {
  position: absolute;
  pointer-events: none;
}
span {
  position: absolute;
  width: 44px;
  height: 24px;
  margin: -12px -22px;
  border-radius: 12px;
  cursor: ns-resize;
  pointer-events: auto;
  touch-action: none;
}
span::after {
  content: '';
  position: absolute;
  inset: 6px 12px;
  border: 2px solid #c2704a;
  border-radius: 6px;
  background: #fff8f3;
}
span:hover::after,
.held::after {
  background: #f1cdbd;
}
span:focus-visible {
  outline: 2px solid var(--lagoon);
}
</style>
