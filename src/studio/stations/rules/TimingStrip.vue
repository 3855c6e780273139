<script setup lang="ts">
import { computed, ref } from 'vue'
import { BOUNDS } from '../../../core/settings/settings.ts'
import { TURN_MS } from '../../../player/motion.ts'
import { writeNumber } from '../../parts/settings/numbers.ts'
import { dragValue, keyValue } from '../../parts/settings/slider.ts'
import { useBench } from '../../store/bench.ts'
import { SECOND_FLIP, turnEnd, turnParts } from './one-turn.ts'
import TryTurn from './TryTurn.vue'

/** One turn to scale, a match above a miss. The time in which the board is locked is hatched. */
const bench = useBench()
const turn = computed(() => bench.settings!.turn)
type LookTime = 'matchLook' | 'missLook'
const lines = computed(() => [
  { name: 'match', key: 'matchLook' as LookTime, parts: turnParts(turn.value, true) },
  { name: 'miss', key: 'missLook' as LookTime, parts: turnParts(turn.value, false) },
])

/** The step of look times, in ms, by dragging and by keys. */
const STEP = 50
const BIG = 500
/** while an edge is dragged the scale stays as it was */
const scale = ref<number | null>(null)
function set(key: LookTime, value: number): void {
  const [low, high] = BOUNDS.look
  const next = Math.max(low, Math.min(high, Math.round(value / STEP) * STEP))
  if (next !== turn.value[key]) bench.set('turn', { [key]: next }, 'change a look time')
}
function drag(event: PointerEvent, key: LookTime): void {
  scale.value = end.value
  dragValue(
    event,
    turn.value[key],
    end.value,
    (value) => set(key, value),
    () => (scale.value = null),
  )
}
function key(event: KeyboardEvent, name: LookTime): void {
  const next = keyValue(event, turn.value[name], BOUNDS.look, { step: STEP, big: BIG })
  if (next !== null) set(name, next)
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
const secondFlip = computed(() => ({ left: percent(SECOND_FLIP), width: percent(TURN_MS) }))
</script>

<template>
  <section class="strip" aria-labelledby="strip">
    <div class="drawn">
      <header>
        <h2 id="strip">One turn, to scale</h2>
        <span class="soft">hatched: presses are ignored · drag the dark edges to change the look times</span>
      </header>
      <div v-for="line in lines" :key="line.name" class="line">
        <span class="name">{{ line.name }}</span>
        <div class="track keeps-colours">
          <span
            v-for="(part, i) in line.parts"
            :key="i"
            class="part"
            :class="part.kind"
            :style="{ left: percent(part.from), width: percent(part.long) }"
            :data-tip="part.words"
            ><span>{{ part.words }}</span></span
          >
          <span
            class="edge"
            role="slider"
            tabindex="0"
            :aria-label="`Look time of a ${line.name}, on the strip`"
            :aria-valuemin="BOUNDS.look[0]"
            :aria-valuemax="BOUNDS.look[1]"
            :aria-valuenow="turn[line.key]"
            :aria-valuetext="writeNumber(turn[line.key], 'seconds')"
            :style="{ left: percent(SECOND_FLIP + turn[line.key]) }"
            @pointerdown.prevent="drag($event, line.key)"
            @keydown="key($event, line.key)"
          />
          <span ref="hands" class="hand" hidden />
          <span class="second" :style="secondFlip" data-tip="the second card turns, within the look time" />
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
  padding-left: 8%;
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
