/** Maximum delay, in ms. */
const LATEST = 150

/** `run` when the page is idle: once for all calls until then, so that no press waits for it. */
export function idly(run: () => void): () => void {
  // not every browser has it
  const whenIdle: typeof requestIdleCallback =
    window.requestIdleCallback ?? ((then) => window.setTimeout(then))
  let waiting = false
  return () => {
    if (waiting) return
    waiting = true
    whenIdle(
      () => {
        waiting = false
        run()
      },
      { timeout: LATEST },
    )
  }
}
