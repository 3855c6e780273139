<script setup lang="ts">
import { computed } from 'vue'
import type { Vision } from '../../../../core/deck/vision.ts'
import type { Tie } from './useLookAlikes.ts'

/**
 * Dotted threads between pairs that look alike to a vision, each with its likeness in percent, from the middle of one
 * tile to the other.
 */
const props = defineProps<{
  ties: readonly Tie[]
  vision: Vision
  middles: ReadonlyMap<string, { x: number; y: number }>
  height: number
}>()

type Point = { x: number; y: number }
/** A thread longer than this, in px, is cut: each end points to the other. */
const LONGEST = 900
const END = 90
function towards(from: Point, to: Point): Point {
  const share = END / Math.hypot(to.x - from.x, to.y - from.y)
  return { x: from.x + (to.x - from.x) * share, y: from.y + (to.y - from.y) * share }
}
function hung(key: string, a: Point, b: Point, percent: number) {
  // the thread hangs down, and is flat over long distances
  const sag = Math.min(46, Math.hypot(b.x - a.x, b.y - a.y) * 0.18)
  const [cx, cy] = [(a.x + b.x) / 2, (a.y + b.y) / 2 + sag]
  return {
    key,
    path: `M${a.x} ${a.y}Q${cx} ${cy} ${b.x} ${b.y}`,
    x: (a.x + b.x + 2 * cx) / 4,
    y: (a.y + b.y + 2 * cy) / 4,
    percent,
  }
}

/** More threads than this would hide the table. */
const MOST = 60
const hanging = computed(() =>
  props.ties.slice(0, MOST).flatMap(({ one, other, likeness }) => {
    const [from, to] = [props.middles.get(one ?? ''), props.middles.get(other)]
    if (!from || !to) return []
    const percent = Math.floor(likeness[props.vision] * 100)
    const key = `${one} ${other}`
    if (Math.hypot(to.x - from.x, to.y - from.y) <= LONGEST) return [hung(key, from, to, percent)]
    return [
      hung(key, from, towards(from, to), percent),
      hung(`${other} ${one}`, to, towards(to, from), percent),
    ]
  }),
)

/** A label that would cover another hangs below it. */
const PERCENT = { width: 42, height: 22 }
const threads = computed(() => {
  const labels: Point[] = []
  return hanging.value.map((thread) => {
    let { y } = thread
    const { x } = thread
    const overlaps = (one: Point): boolean =>
      Math.abs(one.x - x) < PERCENT.width && Math.abs(one.y - y) < PERCENT.height
    while (labels.some(overlaps)) y += PERCENT.height
    labels.push({ x, y })
    return { ...thread, y }
  })
})

/**
 * One path for all: many elements are painted many times. A thread has its own path: the dots of one long path would be
 * worked out for every part of the screen.
 */
const grounds = computed(() =>
  threads.value.map(({ x, y }) => `M${x - 10} ${y - 11}h20a11 11 0 0 1 0 22h-20a11 11 0 0 1 0-22z`).join(''),
)
</script>

<template>
  <svg class="threads" aria-hidden="true" :style="{ height: `${height}px` }">
    <path v-for="thread in threads" :key="thread.key" class="line" :d="thread.path" />
    <path class="grounds" :d="grounds" />
    <text v-for="thread in threads" :key="thread.key" :x="thread.x" :y="thread.y + 5">
      {{ thread.percent }} %
    </text>
  </svg>
</template>

<style scoped>
.threads {
  position: absolute;
  inset: 0 0 auto;
  width: 100%;
  pointer-events: none;
}
.line {
  fill: none;
  stroke: var(--apricot-deep);
  stroke-width: 2.5;
  stroke-dasharray: 0.1 7;
  stroke-linecap: round;
}
.grounds {
  fill: var(--apricot-pale);
  stroke: #e9bfa9;
}
text {
  fill: #7c3214;
  font: 700 13px var(--body);
  text-anchor: middle;
}
</style>
