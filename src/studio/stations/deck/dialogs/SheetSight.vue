<script setup lang="ts">
import { computed, nextTick, ref } from 'vue'
import type { SheetTile } from './useSheet.ts'

/**
 * The sheet with its grid over it. A press takes a tile or leaves it out; a box does the same to all its tiles as to
 * the one where it began. By keys: arrows go from tile to tile, the space bar takes one or leaves it out.
 */
const props = defineProps<{
  image: { canvas: HTMLCanvasElement; url: string; name: string }
  tiles: readonly SheetTile[]
}>()
const emit = defineEmits<{ take: [keys: string[], taken: boolean] }>()
const current = defineModel<string>('looked', { required: true })
const svg = ref<SVGSVGElement>()

/** In px of the sheet. */
type SheetPoint = { x: number; y: number }
let began: { at: SheetPoint; tile: SheetTile | undefined } | null = null
const band = ref<{ x: number; y: number; width: number; height: number } | null>(null)
/** how far a press may move before it becomes a box, in px of the sheet */
const slip = computed(() => Math.max(3, props.image.canvas.width / 150))
/** the tile with the keyboard */
const focusTile = computed(() => props.tiles.find(({ key }) => key === current.value) ?? props.tiles[0])

function pointOf({ clientX, clientY }: PointerEvent): SheetPoint {
  const { x, y } = new DOMPoint(clientX, clientY).matrixTransform(svg.value!.getScreenCTM()!.inverse())
  return { x, y }
}
const tileAt = ({ x, y }: SheetPoint): SheetTile | undefined =>
  props.tiles.find(
    (tile) => x >= tile.x && x < tile.x + tile.width && y >= tile.y && y < tile.y + tile.height,
  )

function down(event: PointerEvent): void {
  if (event.button !== 0) return
  const at = pointOf(event)
  began = { at, tile: tileAt(at) }
  svg.value!.setPointerCapture(event.pointerId)
}
function move(event: PointerEvent): void {
  const to = pointOf(event)
  if (!began) return
  const { at } = began
  const [width, height] = [Math.abs(to.x - at.x), Math.abs(to.y - at.y)]
  if (!band.value && Math.max(width, height) < slip.value) return
  band.value = { x: Math.min(at.x, to.x), y: Math.min(at.y, to.y), width, height }
}
function up(): void {
  const box = band.value
  const tile = began?.tile
  if (began && box) {
    const touched = props.tiles.filter(
      ({ x, y, width, height }) =>
        x < box.x + box.width && x + width > box.x && y < box.y + box.height && y + height > box.y,
    )
    emit(
      'take',
      touched.map(({ key }) => key),
      !tile?.taken,
    )
  } else if (tile) {
    emit('take', [tile.key], !tile.taken)
    go(tile)
  }
  cancel()
}
function cancel(): void {
  began = null
  band.value = null
}

function go(tile: SheetTile | undefined): void {
  if (!tile) return
  current.value = tile.key
  void nextTick(() => svg.value?.querySelector<SVGRectElement>('[tabindex="0"]')?.focus())
}
const STEPS: Record<string, [number, number]> = {
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
}
function press(event: KeyboardEvent): void {
  const tile = focusTile.value
  if (!tile) return
  const step = STEPS[event.key]
  if (step)
    go(props.tiles.find(({ row, column }) => row === tile.row + step[0] && column === tile.column + step[1]))
  else if (event.key === 'Home') go(props.tiles[0])
  else if (event.key === 'End') go(props.tiles.at(-1))
  else if (event.key === ' ' || event.key === 'Enter') emit('take', [tile.key], !tile.taken)
  else if (event.key === 'Escape' && band.value) cancel()
  else return
  event.preventDefault()
  event.stopPropagation()
}
</script>

<template>
  <div class="sight">
    <svg
      ref="svg"
      :viewBox="`0 0 ${image.canvas.width} ${image.canvas.height}`"
      role="group"
      :aria-label="`${image.name}, ${image.canvas.width} × ${image.canvas.height} px, cut into ${tiles.length} tiles`"
      @pointerdown="down"
      @pointermove="move"
      @pointerup="up"
      @pointercancel="cancel"
      @keydown="press"
    >
      <image :href="image.url" :width="image.canvas.width" :height="image.canvas.height" />
      <rect
        v-for="tile in tiles"
        :key="tile.key"
        class="tile"
        :class="{ out: !tile.taken, looked: current === tile.key }"
        :x="tile.x"
        :y="tile.y"
        :width="tile.width"
        :height="tile.height"
        role="checkbox"
        :aria-checked="tile.taken"
        :aria-label="`Row ${tile.row + 1}, column ${tile.column + 1}: ${tile.name}${tile.empty ? ', empty' : ''}`"
        :tabindex="tile.key === focusTile?.key ? 0 : -1"
        @pointerenter="current = tile.key"
      />
      <rect v-if="band" class="band" v-bind="band" />
    </svg>
  </div>
</template>

<style scoped>
.sight {
  display: grid;
  place-items: center;
  min-height: 0;
  padding: 10px;
  border: 1px solid var(--line);
  border-radius: var(--round-card);
  background: repeating-conic-gradient(#ece4d4 0 25%, #fdfaf3 0 50%) 0 0 / 18px 18px;
}
svg {
  width: 100%;
  height: 100%;
  touch-action: none;
}
.tile {
  fill: #1f7f8000;
  stroke: #1f7f80;
  stroke-width: 2;
  vector-effect: non-scaling-stroke;
  cursor: pointer;
}
.tile:hover,
.tile.looked {
  fill: #1f7f8033;
}
.tile.out {
  fill: #f6f1e7c4;
  stroke: #a8322a;
  stroke-dasharray: 4 4;
}
.tile:focus-visible {
  outline: none;
  stroke: #23243f;
  stroke-width: 5;
}
.band {
  fill: #1f7f8026;
  stroke: #23243f;
  stroke-width: 1.5;
  stroke-dasharray: 5 3;
  vector-effect: non-scaling-stroke;
  pointer-events: none;
}
</style>
