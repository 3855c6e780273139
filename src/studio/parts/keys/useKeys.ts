import { useEventListener } from '@vueuse/core'

/** Whether the user is typing text now, so that no shortcut may act. */
function isTyping(target: EventTarget | null): boolean {
  if (!(target instanceof HTMLElement)) return false
  if (
    target.isContentEditable ||
    target instanceof HTMLTextAreaElement ||
    target instanceof HTMLSelectElement
  )
    return true
  return target instanceof HTMLInputElement && !['checkbox', 'radio', 'button', 'range'].includes(target.type)
}

/** Whether a dialog is open; one that is closing does not count. */
const isCovered = (): boolean =>
  [...document.querySelectorAll('#over [aria-modal="true"]')].some(
    (one) => one.checkVisibility() && !one.closest('.dialog-fade-leave-active'),
  )

/**
 * Shortcuts while a component is mounted. Names: the key in lower case, preceded by "alt+", "ctrl+" (or ⌘) and "shift+"
 * in this order. None acts while text is being typed or a dialog is open; the ones with ctrl keep their meaning in text
 * fields there.
 */
export function useKeys(keys: Record<string, () => void>): void {
  function press(event: KeyboardEvent): void {
    if (isTyping(event.target) || event.defaultPrevented) return
    const name = [
      event.altKey ? 'alt+' : '',
      event.ctrlKey || event.metaKey ? 'ctrl+' : '',
      event.shiftKey && (event.ctrlKey || event.metaKey) ? 'shift+' : '',
      (event.altKey && /^Digit\d$/.test(event.code) ? event.code.slice(5) : event.key).toLowerCase(),
    ].join('')
    const act = keys[name]
    // asked last: to know what is visible, the page may have to be laid out
    if (!act || isCovered()) return
    event.preventDefault()
    act()
  }
  useEventListener(window, 'keydown', press)
}
