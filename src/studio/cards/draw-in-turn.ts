const LANES = 12
const lanes = Array.from({ length: LANES }, (): Promise<unknown> => Promise.resolve())
let next = 0

/**
 * Draws when its turn has come: not all at once, so that the page stays free while hundreds are drawn. Out: the picture's URL, which
 * holds as long as the page does; empty if it cannot be drawn.
 */
export function drawInTurn(draw: () => Promise<HTMLCanvasElement>): Promise<string> {
  const lane = next++ % LANES
  const picture = lanes[lane]!.then(draw)
    .then(urlOf)
    .catch(() => '')
  lanes[lane] = picture
  return picture
}

/** At once, and not by toBlob(), which waits until the page is idle; and not as a data URL, which the page's own memory would hold. */
function urlOf(canvas: HTMLCanvasElement): string {
  const [, base64] = canvas.toDataURL().split(',')
  const bytes = Uint8Array.from(atob(base64!), (char) => char.charCodeAt(0))
  return URL.createObjectURL(new Blob([bytes], { type: 'image/png' }))
}
