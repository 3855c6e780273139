/** Not every browser has it. */
const whenIdle: typeof requestIdleCallback = window.requestIdleCallback ?? ((run) => window.setTimeout(run))
/** At the latest after so many ms. */
const LATEST = 150

/** `run` when the page is idle: once for all calls until then, so that no press waits for it. */
export function idly(run: () => void): () => void {
  let waiting = 0
  return () => {
    waiting ||= whenIdle(
      () => {
        waiting = 0
        run()
      },
      { timeout: LATEST },
    )
  }
}
