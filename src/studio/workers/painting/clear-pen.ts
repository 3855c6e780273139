/**
 * Gives a pen whose canvas has this many px, all bare, and nothing set. A canvas of the right size is reused: a new one for
 * each of hundreds of drawings fills the browser's memory, and the page stops while that is cleaned up.
 */
export function clearPen(
  pen: OffscreenCanvasRenderingContext2D,
  width: number,
  height: number,
): OffscreenCanvasRenderingContext2D {
  const { canvas } = pen
  if (canvas.width === Math.floor(width) && canvas.height === Math.floor(height)) pen.reset()
  else Object.assign(canvas, { width, height })
  pen.imageSmoothingQuality = 'high'
  return pen
}
