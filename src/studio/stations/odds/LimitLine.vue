<script setup lang="ts">
import { computed, ref } from 'vue'
import { BOUNDS } from '../../../core/settings/bounds.ts'
import { dragValue, keyValue } from '../../parts/settings/slider.ts'
import { numberOf } from './odds-words.ts'

/**
 * The limit as a line over the chart, dragged or moved by keys: whole seconds, or turns. A move by keys applies once
 * the keys rest.
 */
const props = defineProps<{
  axis: 'time' | 'turns'
  value: number
  range: readonly [number, number]
  side: number
  height: number
}>()
const emit = defineEmits<{ drag: [value: number]; drop: [value: number, byKey: boolean] }>()
const step = computed(() => (props.axis === 'time' ? 1000 : 1))
const bounds = computed(() => (props.axis === 'time' ? BOUNDS.limit : BOUNDS.turns))
const place = computed(() => (props.value - props.range[0]) / (props.range[1] - props.range[0]))
const words = computed(() => numberOf(props.axis, props.value))
const within = (value: number): number =>
  Math.max(bounds.value[0], Math.min(bounds.value[1], Math.round(value / step.value) * step.value))

const isHeld = ref(false)
function hold(event: PointerEvent): void {
  isHeld.value = true
  let last = props.value
  const [from, to] = props.range
  dragValue(
    event,
    last,
    to - from,
    (value) => emit('drag', (last = within(Math.max(from, Math.min(to, value))))),
    () => {
      isHeld.value = false
      emit('drop', last, false)
    },
    { side: props.side },
  )
}

function byKey(event: KeyboardEvent): void {
  const value = keyValue(event, props.value, bounds.value, { step: step.value, big: 10 * step.value })
  if (value !== null) emit('drop', within(value), true)
}
</script>

<template>
  <div
    class="limit"
    :class="{ held: isHeld }"
    role="slider"
    tabindex="0"
    :aria-label="axis === 'time' ? 'Time limit' : 'Turn limit'"
    :aria-valuenow="value / step"
    :aria-valuemin="bounds[0] / step"
    :aria-valuemax="bounds[1] / step"
    :aria-valuetext="words"
    aria-orientation="horizontal"
    :style="{ left: `calc(${side}px + (100% - ${2 * side}px) * ${place})`, height: `${height}px` }"
    @pointerdown.prevent="hold"
    @keydown="byKey"
  >
    <b>{{ words }}</b>
  </div>
</template>

<style scoped>
.limit {
  position: absolute;
  top: 0;
  width: 20px;
  margin-left: -10px;
  cursor: ew-resize;
  touch-action: none;
}
.limit::before {
  content: '';
  position: absolute;
  inset: 0 8px;
  border-radius: 2px;
  background: var(--ink);
}
.limit b {
  position: absolute;
  top: -12px;
  left: 50%;
  padding: 1px 10px;
  border-radius: var(--round);
  background: var(--ink);
  color: #fff;
  font-size: 14px;
  transform: translateX(-50%);
}
.limit:focus-visible {
  outline: 2px solid var(--lagoon);
  outline-offset: 2px;
}
</style>
