import { nextTick, readonly, ref } from 'vue'

/** For how long pieces are put into the page before it may draw and take presses again, in ms. */
const SLICE = 12

const waiting: (() => void)[] = []
const busy = ref(false)
/** Whether pieces of the page still wait for their turn. */
export const isBusy = readonly(busy)

/**
 * Runs `work` when its turn comes: first asked, first done, and the page is free between. Returns what takes it back.
 */
export function inTurn(work: () => void): () => void {
  waiting.push(work)
  if (!busy.value) void run()
  return () => {
    const at = waiting.indexOf(work)
    if (at >= 0) waiting.splice(at, 1)
  }
}

async function run(): Promise<void> {
  busy.value = true
  while (waiting.length) {
    await new Promise((go) => setTimeout(go))
    const began = performance.now()
    do {
      try {
        waiting.shift()?.()
        await nextTick()
      } catch (error) {
        // the other pieces come all the same
        reportError(error)
      }
    } while (waiting.length && performance.now() - began < SLICE)
  }
  busy.value = false
}
