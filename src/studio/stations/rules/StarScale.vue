<script setup lang="ts">
import { computed, ref } from 'vue'
import type { StarsBy } from '../../../core/settings/settings.ts'
import type { Cost, Landing } from '../../../core/odds/cost.ts'
import { writeNumber } from '../../parts/settings/numbers.ts'
import { dragValue, keyValue } from '../../parts/settings/slider.ts'
import { useStars } from './useStars.ts'

/** The thresholds of the stars on a scale, dragged or moved by keys, beside the results of two players. */
const props = defineProps<{ cost: Cost }>()
const { stars, bounds, setAt } = useStars()

/** Thresholds move in these steps: points, turns, ms. */
const STEPS: Record<StarsBy, { step: number; big: number }> = {
  score: { step: 10, big: 100 },
  turns: { step: 1, big: 10 },
  time: { step: 1000, big: 10_000 },
}
const NAMES = ['One star', 'Two stars', 'Three stars']
const by = computed(() => stars.value!.by)
const landing = (one: Landing): number => one[by.value]
const players = computed(() => [
  { at: landing(props.cost.perfect), words: 'perfect memory' },
  { at: landing(props.cost.none), words: 'no memory' },
])
/** while a star is dragged the scale stays as it was */
const frozenMost = ref<number | null>(null)
const most = computed(
  () => frozenMost.value ?? Math.max(1, ...stars.value!.at, ...players.value.map(({ at }) => at)) * 1.05,
)
const place = (at: number): string => `${Math.min(100, (at / most.value) * 100)}%`
const label = (at: number): string =>
  by.value === 'time'
    ? writeNumber(Math.round(at / 100) * 100, 'seconds')
    : Math.round(at).toLocaleString('en')

function set(i: number, value: number): void {
  const { step } = STEPS[by.value]
  setAt(i, Math.max(0, Math.round(value / step) * step))
}
function drag(event: PointerEvent, i: number): void {
  frozenMost.value = most.value
  dragValue(
    event,
    stars.value!.at[i]!,
    most.value,
    (value) => set(i, value),
    () => (frozenMost.value = null),
  )
}
function key(event: KeyboardEvent, i: number): void {
  const next = keyValue(event, stars.value!.at[i]!, bounds(i), STEPS[by.value])
  if (next !== null) setAt(i, next)
}
</script>

<template>
  <h3>Where players land</h3>
  <ul>
    <li v-for="(at, i) in stars!.at" :key="i">
      <span class="stars" aria-hidden="true">{{ '★'.repeat(i + 1) }}</span>
      <span class="track keeps-colours"
        ><span
          class="star"
          role="slider"
          tabindex="0"
          :aria-label="`${NAMES[i]}, on the scale`"
          :aria-valuemin="bounds(i)[0]"
          :aria-valuemax="bounds(i)[1]"
          :aria-valuenow="at"
          :aria-valuetext="label(at)"
          :style="{ left: place(at) }"
          data-tip="Drag to set"
          @pointerdown.prevent="drag($event, i)"
          @keydown="key($event, i)"
      /></span>
      <span class="value">{{ label(at) }}</span>
    </li>
    <li v-for="player in players" :key="player.words">
      <span>{{ player.words }}</span>
      <span class="track keeps-colours"><span class="dot" :style="{ left: place(player.at) }" /></span>
      <span class="value">{{ label(player.at) }}</span>
    </li>
  </ul>
  <p v-if="by === 'time'" class="soft">at the pace of the minds in Odds, on the level's own clock</p>
</template>

<style scoped>
ul {
  display: grid;
  gap: 4px;
  margin: 8px 0 12px;
  padding: 0;
  font-size: 14px;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 7px;
  padding-bottom: 6px;
}
.track {
  grid-row: 2;
  grid-column: 1 / -1;
  position: relative;
  height: 4px;
  border-radius: 2px;
  background: var(--sand);
}
.soft {
  margin: 0 0 16px;
  font-size: 14px;
}
.dot,
.star {
  position: absolute;
  top: 50%;
  width: 10px;
  height: 10px;
  margin: -5px;
}
.dot {
  border-radius: 5px;
  background: var(--lagoon);
}
.star {
  width: 24px;
  height: 24px;
  margin: -12px;
  border-radius: var(--round);
  cursor: ew-resize;
  touch-action: none;
}
.star::before {
  content: '';
  position: absolute;
  inset: 6px;
  background: var(--ink);
  rotate: 45deg;
}
.star:hover::before {
  background: var(--lagoon);
}
.value {
  font-weight: 700;
  text-align: right;
}
</style>
