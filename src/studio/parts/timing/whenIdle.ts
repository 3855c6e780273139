/** A delay short enough to go unnoticed, in ms. */
const SOON = 150

/**
 * Runs `run` when the page is idle: once for all calls until then, so that no press waits for it. `latest`: the maximum
 * delay, in ms; a page that draws nothing may never be idle.
 */
export function whenIdle(run: () => void, latest = SOON): () => void {
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
      { timeout: latest },
    )
  }
}
