/** Lets the page draw and hear presses before a long work goes on; at once on a page that is closing, or it would never go on. */
export const nextTask = (): Promise<void> =>
  globalThis.document?.hidden ? Promise.resolve() : new Promise((resolve) => setTimeout(resolve))
