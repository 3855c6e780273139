import { onBeforeUnmount, useTemplateRef, watch } from 'vue'
import type { Layout } from '../../../core/board/geometry.ts'

/** A board as it is drawn: its layout in px of the frame, and the scale at which such a px is drawn. */
export type DrawnSurface = Layout & { width: number; height: number; scale: number }

/**
 * Draws on the component's `canvas` ref, which covers the whole surface, once a frame however often it is asked. In:
 * the surface; the function that draws, in px of the frame; whatever else the drawing depends on. Out: a function that
 * asks for a redraw.
 */
export function useDrawing(
  surface: () => DrawnSurface,
  draw: (pen: CanvasRenderingContext2D, surface: DrawnSurface) => void,
  depends: () => unknown,
): () => void {
  const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
  let frame = 0

  function drawNow(): void {
    frame = 0
    if (!canvas.value) return
    const pen = canvas.value.getContext('2d')!
    const scale = surface().scale * devicePixelRatio
    const [width, height] = [surface().width, surface().height].map((side) => Math.round(side * scale)) as [
      number,
      number,
    ]
    if (canvas.value.width !== width || canvas.value.height !== height)
      Object.assign(canvas.value, { width, height })
    pen.setTransform(scale, 0, 0, scale, 0, 0)
    pen.clearRect(0, 0, surface().width, surface().height)
    draw(pen, surface())
  }
  const ask = (): void => void (frame ||= requestAnimationFrame(drawNow))
  watch([surface, depends], ask, { flush: 'post', immediate: true })
  onBeforeUnmount(() => cancelAnimationFrame(frame))
  return ask
}
