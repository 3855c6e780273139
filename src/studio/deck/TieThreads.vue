<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import type { Vision } from '../../core/deck/vision.ts'
import type { Tie } from './useLookAlikes.ts'

/** Dotted threads between pairs that look alike to a vision, each with its likeness in percent. `order` changes when tiles move. */
const props = defineProps<{
  ties: readonly Tie[]
  vision: Vision
  table: HTMLElement | undefined
  order: unknown
}>()

type Thread = { key: string; path: string; x: number; y: number; percent: number }
const threads = ref<Thread[]>([])
const height = ref(0)
/** More threads than this would hide the table. */
const MOST = 60
const shown = computed(() => props.ties.slice(0, MOST))

function measure(): void {
  const { table } = props
  if (!table) return
  height.value = table.scrollHeight
  const middle = (id: string): { x: number; y: number } | null => {
    const tile = table.querySelector<HTMLElement>(`[data-pair="${CSS.escape(id)}"]`)
    if (!tile) return null
    return { x: tile.offsetLeft + tile.offsetWidth / 2, y: tile.offsetTop + 58 }
  }
  threads.value = shown.value.flatMap(({ one, other, likeness }) => {
    const [a, b] = [middle(one), middle(other)]
    if (!a || !b) return []
    const length = Math.hypot(b.x - a.x, b.y - a.y) || 1
    // the bow hangs down, and is flat where the way is long
    const sag = Math.min(46, length * 0.18)
    const [cx, cy] = [(a.x + b.x) / 2, (a.y + b.y) / 2 + sag]
    return [
      {
        key: `${one} ${other}`,
        path: `M${a.x} ${a.y}Q${cx} ${cy} ${b.x} ${b.y}`,
        x: (a.x + b.x + 2 * cx) / 4,
        y: (a.y + b.y + 2 * cy) / 4,
        percent: Math.floor(likeness[props.vision] * 100),
      },
    ]
  })
}
const watched = new ResizeObserver(measure)
onMounted(() => props.table && watched.observe(props.table))
onBeforeUnmount(() => watched.disconnect())
watch(
  () => props.table,
  (table) => table && watched.observe(table),
)
watch(() => [shown.value, props.vision, props.order], measure, { flush: 'post', immediate: true })
</script>

<template>
  <svg class="threads" aria-hidden="true" :style="{ height: `${height}px` }">
    <g v-for="thread in threads" :key="thread.key">
      <path :d="thread.path" />
      <rect :x="thread.x - 21" :y="thread.y - 11" width="42" height="22" rx="11" />
      <text :x="thread.x" :y="thread.y + 5">{{ thread.percent }} %</text>
    </g>
  </svg>
</template>

<style scoped>
.threads {
  position: absolute;
  inset: 0 0 auto;
  width: 100%;
  pointer-events: none;
}
path {
  fill: none;
  stroke: var(--apricot-deep);
  stroke-width: 2.5;
  stroke-dasharray: 0.1 7;
  stroke-linecap: round;
}
rect {
  fill: var(--apricot-pale);
  stroke: #e9bfa9;
}
text {
  fill: #7c3214;
  font: 700 13px var(--body);
  text-anchor: middle;
}
</style>
