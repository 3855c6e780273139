/** Calls `step` once a frame while it is asked for; `step` says whether it is wanted again in the next one. */
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
