<script setup lang="ts">
import { computed, ref } from 'vue'
import { BOUNDS } from '../../core/game/settings.ts'
import { TURN_MS } from '../../player/mount.ts'
import { writeNumber } from '../settings/numbers.ts'
import { useBench } from '../store/bench.ts'

/** One turn to scale, a match above a miss. The span in which the board is locked is hatched. */
const bench = useBench()
const turn = computed(() => bench.settings!.turn)
/** How long the player is shown to look for the twin; only for the drawing. */
const BETWEEN = 900
const AFTER = 700

type Part = { from: number; long: number; words: string; kind: string }
function parts(look: number, match: boolean): Part[] {
  const second = TURN_MS + BETWEEN
  const locked = turn.value.duringLook === 'wait' || (!match && turn.value.onMiss === 'button')
  const shown = `both lie open ${writeNumber(look, 'seconds')}`
  const until = second + look
  const open = !match && turn.value.onMiss !== 'timed'
  const settling = match ? { stay: '', fade: 'fade', leave: 'leave' }[turn.value.onMatch] : 'back'
  const waits: Part[] = open
    ? [
        {
          from: until,
          long: AFTER,
          words: turn.value.onMiss === 'press' ? 'until the next press' : 'until the button',
          kind: turn.value.onMiss === 'button' ? 'open locked' : 'open',
        },
      ]
    : []
  const settled = until + (open ? AFTER : 0)
  return [
    { from: 0, long: TURN_MS, words: 'flip', kind: 'first' },
    { from: TURN_MS, long: BETWEEN, words: 'the player looks for the twin', kind: 'free' },
    { from: second, long: look, words: shown, kind: `${match ? 'match' : 'miss'}${locked ? ' locked' : ''}` },
    ...waits,
    ...(settling ? [{ from: settled, long: TURN_MS, words: settling, kind: 'settle' }] : []),
    { from: settled, long: AFTER, words: 'next press', kind: 'next' },
  ]
}
type Look = 'matchLook' | 'missLook'
const lines = computed(() => [
  { name: 'match', key: 'matchLook' as Look, parts: parts(turn.value.matchLook, true) },
  { name: 'miss', key: 'missLook' as Look, parts: parts(turn.value.missLook, false) },
])

/** Look times are set in steps of so many ms by dragging, and by keys. */
const STEP = 50
const BIG = 500
/** while an edge is dragged the scale stays as it was */
const scale = ref<number | null>(null)
function set(key: Look, value: number): void {
  const [low, high] = BOUNDS.look
  const next = Math.max(low, Math.min(high, Math.round(value / STEP) * STEP))
  if (next !== turn.value[key]) bench.set('turn', { [key]: next }, 'change a look time')
}
function drag(event: PointerEvent, key: Look): void {
  const edge = event.currentTarget as HTMLElement
  const wide = edge.parentElement!.getBoundingClientRect().width
  const [from, look] = [event.clientX, turn.value[key]]
  scale.value = end.value
  edge.setPointerCapture(event.pointerId)
  const move = (now: PointerEvent): void =>
    set(key, look + ((now.clientX - from) / wide) * (scale.value ?? end.value))
  const done = (): void => {
    scale.value = null
    edge.removeEventListener('pointermove', move)
  }
  edge.addEventListener('pointermove', move)
  edge.addEventListener('lostpointercapture', done, { once: true })
}
function key(event: KeyboardEvent, name: Look): void {
  const steps: Record<string, number> = {
    ArrowLeft: -STEP,
    ArrowDown: -STEP,
    ArrowRight: STEP,
    ArrowUp: STEP,
    PageDown: -BIG,
    PageUp: BIG,
    Home: -Infinity,
    End: Infinity,
  }
  const by = steps[event.key]
  if (by === undefined) return
  event.preventDefault()
  const [low, high] = BOUNDS.look
  set(name, by === -Infinity ? low : by === Infinity ? high : turn.value[name] + by)
}
const end = computed(
  () =>
    scale.value ??
    Math.max(...lines.value.flatMap((line) => line.parts.map((part) => part.from + part.long))),
)
const ticks = computed(() => {
  const step = end.value > 20_000 ? 10_000 : end.value > 8000 ? 2000 : 500
  return Array.from({ length: Math.floor(end.value / step) + 1 }, (_, i) => i * step)
})
const percent = (ms: number): string => `${(ms / end.value) * 100}%`
const secondFlip = computed(() => ({ left: percent(TURN_MS + BETWEEN), width: percent(TURN_MS) }))
</script>

<template>
  <section class="strip" aria-labelledby="strip">
    <header>
      <h2 id="strip">One turn, to scale</h2>
      <span class="soft"
        >hatched: locked, no press counts · drag the dark edges to change the look times</span
      >
    </header>
    <div v-for="line in lines" :key="line.name" class="line">
      <span class="name">{{ line.name }}</span>
      <div class="track">
        <span
          v-for="(part, i) in line.parts"
          :key="i"
          class="part"
          :class="part.kind"
          :style="{ left: percent(part.from), width: percent(part.long) }"
          :title="part.words"
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
          :style="{ left: percent(TURN_MS + BETWEEN + turn[line.key]) }"
          @pointerdown.prevent="drag($event, line.key)"
          @keydown="key($event, line.key)"
        />
        <span class="second" :style="secondFlip" title="the second card turns, within the look time" />
      </div>
    </div>
    <div class="line" aria-hidden="true">
      <span />
      <div class="ticks">
        <span v-for="tick in ticks" :key="tick" :style="{ left: percent(tick) }">{{ tick / 1000 }} s</span>
      </div>
    </div>
  </section>
</template>

<style scoped>
.strip {
  padding: 14px 36px 8px;
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
