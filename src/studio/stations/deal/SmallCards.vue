<script setup lang="ts">
import { watch, shallowRef } from 'vue'
import type { Back } from '../../../core/settings/back.ts'
import type { Face } from '../../../core/deck/pair.ts'
import { backBitmap } from '../../parts/cards/back-bitmap.ts'
import { faceBitmap } from '../../workers/painting/face-picture.ts'
import type { SeenCell } from './BoardCell.vue'
import { useDrawing, type DrawnSurface } from './useDrawing.ts'

/**
 * The cards of a large board on one canvas: hundreds of pictures in the page would be styled, laid out and loaded anew
 * at every change. `away`: the cell whose card is being dragged.
 */
const props = defineProps<{
  cells: readonly SeenCell[]
  away: number | undefined
  faces: boolean
  back: Back
  surface: DrawnSurface
}>()
const ROUND = 4
const COLORS = { card: '#fffdf8', gap: '#ffffff40' }
/** a face's bitmap, or null while there is none */
const bitmaps = new WeakMap<Face, ImageBitmap | null>()
const backDrawn = shallowRef<ImageBitmap | null>(null)

const ask = useDrawing(
  () => props.surface,
  draw,
  () => [props.cells, props.away, props.faces, backDrawn.value],
)

async function load(face: Face): Promise<void> {
  bitmaps.set(face, null)
  bitmaps.set(face, await faceBitmap(face))
  ask()
}

function draw(pen: CanvasRenderingContext2D, { places, scale }: DrawnSurface): void {
  const round = ROUND / scale
  const outline = (cells: readonly SeenCell[]): void => {
    pen.beginPath()
    for (const { cell } of cells) {
      const { x, y, width, height } = places[cell]!
      pen.roundRect(x, y, width, height, round)
    }
  }
  const visible = props.cells.filter(({ cell }) => cell !== props.away)
  outline(visible.filter(({ gap }) => gap))
  Object.assign(pen, { lineWidth: 1.5 / scale, strokeStyle: COLORS.gap })
  pen.setLineDash([3 / scale, 3 / scale])
  pen.stroke()

  const cards = visible.filter(({ gap }) => !gap)
  outline(cards)
  pen.fillStyle = COLORS.card
  pen.fill()
  for (const { cell, face } of cards) {
    const { x, y, width, height } = places[cell]!
    if (!props.faces) {
      if (backDrawn.value) pen.drawImage(backDrawn.value, x, y, width, height)
      continue
    }
    if (!face) continue
    const bitmap = bitmaps.get(face)
    if (bitmap === undefined) void load(face)
    if (!bitmap) continue
    const side = Math.min(width, height)
    pen.drawImage(bitmap, x + (width - side) / 2, y + (height - side) / 2, side, side)
  }
}

watch(
  () => [props.faces, props.back, props.surface.card.width * props.surface.scale] as const,
  async ([faces, now, width]) => {
    if (faces) return
    const bitmap = await backBitmap(
      now,
      width,
      (width * props.surface.card.height) / props.surface.card.width,
      ROUND,
    )
    if (now === props.back) backDrawn.value = bitmap
  },
  { immediate: true },
)
</script>

<template>
  <canvas ref="canvas" aria-hidden="true" />
</template>

<style scoped>
canvas {
  display: block;
  width: 100%;
  height: 100%;
  touch-action: none;
}
</style>
