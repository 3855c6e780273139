const LANES = 12
const lanes = Array.from({ length: LANES }, (): Promise<unknown> => Promise.resolve())
let next = 0

/** One for all drawings, each of which is done at one go: a canvas for every drawing is much for the browser to clear away. */
const canvas = document.createElement('canvas')
const pen = canvas.getContext('2d')!

export type Draw = (pen: CanvasRenderingContext2D) => void

/**
 * Draws a picture of so many px when its turn has come: not all at once, so that the page stays free while hundreds are drawn.
 * `prepare` gets what is drawn. Out: the picture's URL, which holds as long as the page does; empty if it cannot be drawn.
 */
export function drawInTurn(width: number, height: number, prepare: () => Promise<Draw>): Promise<string> {
  const lane = next++ % LANES
  const picture = lanes[lane]!.then(() => document.fonts.ready)
    .then(prepare)
    .then((draw) => {
      canvas.width = width
      canvas.height = height
      pen.imageSmoothingQuality = 'high'
      draw(pen)
      return url()
    })
    .catch(() => '')
  lanes[lane] = picture
  return picture
}

/** At once, and not by toBlob(), which waits until the page is idle; and not as a data URL, which the page's own memory would hold. */
function url(): string {
  const [, base64] = canvas.toDataURL().split(',')
  const bytes = Uint8Array.from(atob(base64!), (char) => char.charCodeAt(0))
  return URL.createObjectURL(new Blob([bytes], { type: 'image/png' }))
}
