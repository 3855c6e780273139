import { useEventListener } from '@vueuse/core'

/**
 * Lets a held key repeat once for each frame that is drawn, and only while `mayRepeat` says so: repeats that come
 * faster than the page can follow would leave it no time for anything else.
 */
export function useHeldKeys(mayRepeat: () => boolean): void {
  let isDrawn = true
  useEventListener(
    window,
    'keydown',
    (event) => {
      if (!event.repeat) return
      if (!isDrawn || !mayRepeat()) {
        event.preventDefault()
        event.stopImmediatePropagation()
        return
      }
      isDrawn = false
      requestAnimationFrame(() => (isDrawn = true))
    },
    { capture: true },
  )
}
