const LANES = 12
const lanes = Array.from({ length: LANES }, (): Promise<unknown> => Promise.resolve())
let next = 0

/** Draws when its turn has come: not all at once, so that the page stays free while hundreds are drawn. Empty if it cannot be drawn. */
export function drawInTurn(draw: () => Promise<string>): Promise<string> {
  const lane = next++ % LANES
  const picture = lanes[lane]!.then(draw).catch(() => '')
  lanes[lane] = picture
  return picture
}
