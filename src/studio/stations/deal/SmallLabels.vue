<script setup lang="ts">
import { useDrawing, type DrawnSurface } from './useDrawing.ts'

/** A short text on every cell of a large board, '' for none, on one canvas. */
const props = defineProps<{ labels: readonly string[]; surface: DrawnSurface }>()
const FONT_SIZE = 12
const COLORS = { text: '#23243f', under: '#fffdf8e8' }

useDrawing(
  () => props.surface,
  (pen, { places, scale }) => {
    pen.font = `600 ${FONT_SIZE / scale}px Figtree, sans-serif`
    Object.assign(pen, { textAlign: 'center', textBaseline: 'middle' })
    const high = (FONT_SIZE + 4) / scale
    props.labels.forEach((label, cell) => {
      const place = places[cell]
      if (!label || !place) return
      const [x, y] = [place.x + place.width / 2, place.y + place.height / 2]
      const wide = Math.min(place.width, pen.measureText(label).width + 6 / scale)
      pen.fillStyle = COLORS.under
      pen.beginPath()
      pen.roundRect(x - wide / 2, y - high / 2, wide, high, 4 / scale)
      pen.fill()
      pen.fillStyle = COLORS.text
      pen.fillText(label, x, y, place.width)
    })
  },
  () => props.labels,
)
</script>

<template>
  <canvas ref="canvas" aria-hidden="true" />
</template>

<style scoped>
canvas {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  pointer-events: none;
}
</style>
