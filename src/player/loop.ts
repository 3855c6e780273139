/** Calls `step` once a frame for as long as asked; `step` returns whether it wants the next frame too. */
export function newLoop(step: () => boolean): { ask(): void; end(): void } {
  let frame: number | null = null
  let ended = false
  const ask = (): void => {
    if (frame === null && !ended) frame = requestAnimationFrame(run)
  }
  function run(): void {
    frame = null
    if (step()) ask()
  }
  function end(): void {
    ended = true
    if (frame !== null) cancelAnimationFrame(frame)
  }
  return { ask, end }
}
