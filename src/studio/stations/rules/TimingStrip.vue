<script setup lang="ts">
import { computed, ref } from 'vue'
import { BOUNDS } from '../../../core/settings/bounds.ts'
import { writeNumber } from '../../parts/settings/numbers.ts'
import { dragValue, keyValue } from '../../parts/settings/slider.ts'
import { useBench } from '../../store/bench.ts'
import { missMotion, secondFlip, turnEnd, turnParts } from './one-turn.ts'
import TryTurn from './TryTurn.vue'

/** One turn to scale, a match above a miss. The time in which the board is locked is hatched. */
const bench = useBench()
const settings = computed(() => bench.settings!)
/** A time on the strip that can be dragged at its end, in ms: `step` by dragging and by the arrow keys. */
type Edge = {
  label: string
  value: number
  /** where its end is */
  at: number
  bounds: readonly [number, number]
  step: number
  big: number
  set(value: number): void
}
const edges = computed(() => {
  const { turn, look } = settings.value
  const lookEdge = (name: string, key: 'matchLook' | 'missLook'): Edge => ({
    label: `Look time of a ${name}, on the strip`,
    value: turn[key],
    at: secondFlip(look) + turn[key],
    bounds: BOUNDS.look,
    step: 50,
    big: 500,
    set: (value) => bench.set('turn', { [key]: value }, 'change a look time'),
  })
  const flip: Edge = {
    label: 'Time of a flip, on the strip',
    value: look.flipTime,
    at: look.flipTime,
    bounds: BOUNDS.motion,
    step: 10,
    big: 100,
    set: (value) => bench.set('look', { flipTime: value }, 'change the time of a flip'),
  }
  return { match: [flip, lookEdge('match', 'matchLook')], miss: [lookEdge('miss', 'missLook')] }
})
const lines = computed(() => [
  { name: 'match', edges: edges.value.match, parts: turnParts(settings.value, true), motion: null },
  {
    name: 'miss',
    edges: edges.value.miss,
    parts: turnParts(settings.value, false),
    motion: missMotion(settings.value),
  },
])

/** while an edge is dragged the scale stays as it was */
const scale = ref<number | null>(null)
function set(edge: Edge, value: number): void {
  const [low, high] = edge.bounds
  const next = Math.max(low, Math.min(high, Math.round(value / edge.step) * edge.step))
  if (next !== edge.value) edge.set(next)
}
/** The edge as it is now: it is drawn anew with each change. */
const edgeNow = ({ label }: Edge): Edge =>
  [...edges.value.match, ...edges.value.miss].find((one) => one.label === label)!
function drag(event: PointerEvent, edge: Edge): void {
  scale.value = end.value
  dragValue(
    event,
    edge.value,
    end.value,
    (value) => set(edgeNow(edge), value),
    () => (scale.value = null),
  )
}
function key(event: KeyboardEvent, edge: Edge): void {
  const next = keyValue(event, edge.value, edge.bounds, edge)
  if (next !== null) set(edge, next)
}
const end = computed(() => scale.value ?? turnEnd(lines.value.flatMap((line) => line.parts)))
const ticks = computed(() => {
  const step = end.value > 20_000 ? 10_000 : end.value > 8000 ? 2000 : 500
  return Array.from({ length: Math.floor(end.value / step) + 1 }, (_, i) => i * step)
})
const percent = (ms: number): string => `${(ms / end.value) * 100}%`
/** the position of the two trial cards in their turn; moved directly, since it moves in every frame */
const hands = ref<HTMLElement[]>([])
function placeHand(at: number, time: number): void {
  hands.value.forEach((hand, i) => {
    hand.hidden = i !== at || time < 0
    hand.style.left = percent(time)
  })
}
const placed = (from: number, long: number): { left: string; width: string } => ({
  left: percent(from),
  width: percent(long),
})
</script>

<template>
  <section class="strip" aria-labelledby="strip">
    <div class="drawn">
      <header>
        <h2 id="strip">One turn, to scale</h2>
        <span class="soft">hatched: presses are ignored · drag the dark edges to change the times</span>
      </header>
      <div v-for="line in lines" :key="line.name" class="line">
        <span class="name">{{ line.name }}</span>
        <div class="track keeps-colours">
          <span
            v-for="(part, i) in line.parts"
            :key="i"
            class="part"
            :class="part.kind"
            :style="{ ...placed(part.from, part.long), paddingLeft: percent(part.over ?? 0) }"
            :data-tip="part.words"
            ><span>{{ part.words }}</span></span
          >
          <span
            v-for="edge in line.edges"
            :key="edge.label"
            class="edge"
            role="slider"
            tabindex="0"
            :aria-label="edge.label"
            :aria-valuemin="edge.bounds[0]"
            :aria-valuemax="edge.bounds[1]"
            :aria-valuenow="edge.value"
            :aria-valuetext="writeNumber(edge.value, 'seconds')"
            :style="{ left: percent(edge.at) }"
            @pointerdown.prevent="drag($event, edge)"
            @keydown="key($event, edge)"
          />
          <span ref="hands" class="hand" hidden />
          <span
            class="second"
            :style="placed(secondFlip(settings.look), settings.look.flipTime)"
            data-tip="the second card turns, within the look time"
          />
          <span
            v-if="line.motion"
            class="motion"
            :style="placed(line.motion.from, line.motion.long)"
            :data-tip="`the cards move, ${settings.look.missMoves} × ${writeNumber(settings.look.missTime, 'seconds')}`"
          />
        </div>
      </div>
      <div class="line" aria-hidden="true">
        <span />
        <div class="ticks">
          <span v-for="tick in ticks" :key="tick" :style="{ left: percent(tick) }">{{ tick / 1000 }} s</span>
        </div>
      </div>
    </div>
    <TryTurn @time="placeHand" />
  </section>
</template>

<style scoped>
.strip {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 250px;
  gap: 28px;
  padding: 14px 24px 10px 36px;
  border-top: 1px solid var(--line);
  background: var(--paper);
}
header {
  display: flex;
  align-items: baseline;
  gap: 14px;
  margin-bottom: 8px;
}
.line {
  display: grid;
  grid-template-columns: 60px 1fr;
  align-items: center;
  margin-bottom: 8px;
}
.name {
  font-weight: 700;
}
.track {
  position: relative;
  overflow: clip visible;
  height: 34px;
}
.part {
  position: absolute;
  inset-block: 0;
  display: grid;
  place-items: center;
  overflow: hidden;
  border: 1px solid #0000;
  font-size: 13px;
  white-space: nowrap;
}
.part span {
  max-width: 100%;
  overflow: hidden;
  text-overflow: ellipsis;
}
.first {
  border-radius: 6px 0 0 6px;
  background: #b5502a;
  color: #fff;
}
.free {
  background: var(--card);
  border-color: var(--line);
}
.match {
  background-color: #cfe6e2;
}
.miss {
  background-color: #f8d9cb;
}
.open {
  background-color: #fbe7dd;
}
.locked {
  background-image: repeating-linear-gradient(-45deg, #ffffff8c 0 7px, transparent 7px 14px);
}
.locked span {
  padding: 0 6px;
  border-radius: 4px;
  background: #fffdf8d9;
}
.settle {
  background: #67647f;
  color: #fff;
}
.next {
  z-index: 0;
  border: 1px dashed #a79b82;
  border-radius: 0 6px 6px 0;
}
.settle + .next {
  border-left: 0;
}
.edge {
  position: absolute;
  z-index: 1;
  inset-block: -4px;
  width: 12px;
  margin-left: -6px;
  cursor: ew-resize;
  touch-action: none;
}
.edge::before {
  content: '';
  position: absolute;
  inset: 4px 4px;
  border-radius: 2px;
  background: var(--ink);
}
.edge:hover::before {
  background: var(--lagoon);
}
.hand {
  position: absolute;
  z-index: 1;
  inset-block: 0;
  width: 2px;
  background: var(--brick);
  pointer-events: none;
}
@media (max-width: 760px) {
  .strip {
    grid-template-columns: minmax(0, 1fr);
  }
}
.second {
  position: absolute;
  bottom: 0;
  height: 5px;
  background: var(--lagoon);
}
.motion {
  position: absolute;
  bottom: 0;
  height: 5px;
  background: var(--brick);
}
.ticks {
  position: relative;
  height: 18px;
  color: var(--ink-soft);
  font-size: 12px;
}
.ticks span {
  position: absolute;
  transform: translateX(-50%);
  white-space: nowrap;
}
.ticks span:first-child {
  transform: none;
}
</style>
