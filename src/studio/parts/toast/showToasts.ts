import { ElMessage, type MessageHandler } from 'element-plus'
import { h, watch } from 'vue'
import ToastText from './ToastText.vue'
import { useToasts } from './useToasts.ts'

/**
 * Shows each message at the bottom for as long as it lasts. Call it once, in the app's own setup. Messages come and go
 * at the next frame: a closing one measures itself, and with it the page, which the edit that closed it has just
 * changed.
 */
export function showToasts(): void {
  const { toasts, close } = useToasts()
  const handlers = new Map<number, MessageHandler>()
  let frame = 0

  function follow(): void {
    frame = 0
    for (const toast of toasts.value) {
      if (handlers.has(toast.id)) continue
      const away = (): void => close(toast.id)
      const handler = ElMessage({
        message: () => h(ToastText, { toast, onClose: away }),
        duration: 0,
        placement: 'bottom',
        appendTo: '#over',
        onClose: away,
      })
      handlers.set(toast.id, handler)
    }
    for (const [id, handler] of handlers) {
      if (toasts.value.some((toast) => toast.id === id)) continue
      handlers.delete(id)
      handler.close()
    }
  }
  watch(toasts, () => {
    frame ||= requestAnimationFrame(follow)
  })
}
