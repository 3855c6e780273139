<script setup lang="ts">
import { ElButton } from 'element-plus'
import { computed, ref } from 'vue'
import { BOUNDS } from '../../../core/settings/bounds.ts'
import { type Settings } from '../../../core/settings/settings.ts'
import type { DrawnSurface } from './useDrawing.ts'

/**
 * Handles on the first cards: the corner for the size of all cards, the space to the next column and to the next row.
 * `preview` gets what is being dragged, `set` what was dropped or set by keys. On a `small` board they appear for keys
 * only, since they would cover the first cards.
 */
const props = defineProps<{ surface: DrawnSurface; rows: number; columns: number; small: boolean }>()
type Patch = Partial<Settings['layout']>
const emit = defineEmits<{ preview: [patch: Patch | null]; set: [patch: Patch, label: string] }>()

type Handle = 'corner' | 'across' | 'down'
/** An arrow key moves one px, this many with Shift. */
const BIG = 10
const activeHandle = ref<Handle | null>(null)
const first = computed(() => props.surface.places[0]!)
const handles = computed(() => {
  const { card, gap } = props.surface
  return [
    {
      name: 'corner' as const,
      x: first.value.x + card.width,
      y: first.value.y + card.height,
      words: `Size of the cards: ${card.width} × ${card.height} px`,
      value: `${card.width} × ${card.height}`,
    },
    {
      name: 'across' as const,
      x: first.value.x + card.width + gap.across / 2,
      y: first.value.y + card.height / 2,
      words: `Space between columns: ${gap.across} px`,
      value: `${gap.across}`,
    },
    {
      name: 'down' as const,
      x: first.value.x + card.width / 2,
      y: first.value.y + card.height + gap.down / 2,
      words: `Space between rows: ${gap.down} px`,
      value: `${gap.down}`,
    },
  ].filter(({ name }) => name === 'corner' || (name === 'across' ? props.columns > 1 : props.rows > 1))
})
const LABELS: Record<Handle, string> = {
  corner: 'change the size of the cards',
  across: 'change the space between columns',
  down: 'change the space between rows',
}
const within = (value: number, [low, high]: readonly [number, number]): number =>
  Math.max(low, Math.min(high, Math.round(value)))

/** What a handle sets when it is moved this many px of the frame from its start. */
function patchAfter(
  name: Handle,
  { card, gap }: Pick<DrawnSurface, 'card' | 'gap'>,
  x: number,
  y: number,
): Patch {
  if (name === 'across') return { gapAcross: within(gap.across + x, BOUNDS.gap) }
  if (name === 'down') return { gapDown: within(gap.down + y, BOUNDS.gap) }
  return {
    size: { width: within(card.width + x, BOUNDS.card), height: within(card.height + y, BOUNDS.card) },
  }
}

function down(event: PointerEvent, name: Handle): void {
  if (event.button !== 0) return
  event.stopPropagation()
  const handle = event.currentTarget as HTMLElement
  const start = { card: props.surface.card, gap: props.surface.gap }
  const { scale } = props.surface
  const from = { x: event.clientX, y: event.clientY }
  let patch: Patch | null = null
  handle.setPointerCapture(event.pointerId)
  activeHandle.value = name
  const move = (now: PointerEvent): void => {
    patch = patchAfter(name, start, (now.clientX - from.x) / scale, (now.clientY - from.y) / scale)
    emit('preview', patch)
  }
  const escape = (key: KeyboardEvent): void => {
    if (key.key !== 'Escape') return
    key.stopPropagation()
    patch = null
    end()
  }
  const end = (): void => {
    handle.removeEventListener('pointermove', move)
    handle.removeEventListener('lostpointercapture', end)
    window.removeEventListener('keydown', escape, true)
    activeHandle.value = null
    emit('preview', null)
    if (patch) emit('set', patch, LABELS[name])
    patch = null
  }
  handle.addEventListener('pointermove', move)
  handle.addEventListener('lostpointercapture', end)
  window.addEventListener('keydown', escape, true)
}
function key(event: KeyboardEvent, name: Handle): void {
  const step = event.shiftKey ? BIG : 1
  const ways: Record<string, [number, number]> = {
    ArrowLeft: [-step, 0],
    ArrowRight: [step, 0],
    ArrowUp: [0, -step],
    ArrowDown: [0, step],
  }
  const way = ways[event.key]
  if (!way || event.altKey || event.ctrlKey) return
  event.preventDefault()
  event.stopPropagation()
  const [x, y] = way
  // a gap has only one direction, so both arrows that lead away from the card widen it
  const along = x + y
  emit(
    'set',
    patchAfter(name, props.surface, name === 'corner' ? x : along, name === 'corner' ? y : along),
    LABELS[name],
  )
}
</script>

<template>
  <ElButton
    v-for="one in handles"
    :key="one.name"
    class="handle"
    :class="[one.name, { held: activeHandle === one.name, small }]"
    :style="{ left: `${one.x * surface.scale}px`, top: `${one.y * surface.scale}px` }"
    :aria-label="`${one.words}; arrow keys change it`"
    @pointerdown="down($event, one.name)"
    @keydown="key($event, one.name)"
    @click.stop
  >
    <span class="value" aria-hidden="true">{{ one.value }}</span>
  </ElButton>
</template>

<style scoped>
.handle {
  position: absolute;
  z-index: 4;
  display: grid;
  place-items: center;
  width: 22px;
  min-width: 0;
  height: 22px;
  min-height: 0;
  margin: -11px 0 0 -11px;
  padding: 0;
  border: 0;
  border-radius: 50%;
  background: none;
  touch-action: none;
  opacity: 0;
  transition: opacity 0.15s;
}
.handle::before {
  content: '';
  width: 10px;
  height: 10px;
  border: 2px solid #23243f;
  border-radius: 50%;
  background: #fffdf8;
}
.across::before {
  width: 6px;
  height: 18px;
  border-radius: 3px;
}
.down::before {
  width: 18px;
  height: 6px;
  border-radius: 3px;
}
.corner {
  cursor: nwse-resize;
}
.across {
  cursor: ew-resize;
}
.down {
  cursor: ns-resize;
}
.value {
  position: absolute;
  left: 24px;
  top: -4px;
  display: none;
  padding: 2px 8px;
  border-radius: var(--round);
  background: #fffdf8;
  color: #23243f;
  font: 700 14px/1.5 var(--body);
  white-space: nowrap;
  box-shadow: 0 3px 10px #0a0a2460;
}
.handle.small {
  pointer-events: none;
}
.handle:focus-visible,
.handle.held,
.handle:hover {
  opacity: 1;
}
.handle:focus-visible .value,
.handle.held .value,
.handle:hover .value {
  display: block;
}
</style>
