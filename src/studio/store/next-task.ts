/**
 * Lets a page draw and hear presses, or a worker hear messages, before a long work goes on; at once on a hidden page,
 * whose timers the browser slows down or stops.
 */
export const nextTask = (): Promise<void> =>
  globalThis.document?.hidden ? Promise.resolve() : new Promise((resolve) => setTimeout(resolve))
