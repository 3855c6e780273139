import { ElMessage, type MessageHandler } from 'element-plus'
import { h, watch } from 'vue'
import ToastText from './ToastText.vue'
import { useToasts } from './useToasts.ts'

/** Shows each message at the lower edge for as long as it is one. To be called once, in the app's own setup. */
export function showToasts(): void {
  const { toasts, close } = useToasts()
  const shown = new Map<number, MessageHandler>()
  watch(toasts, (now) => {
    for (const toast of now) {
      if (shown.has(toast.id)) continue
      const away = (): void => close(toast.id)
      const handler = ElMessage({
        message: () => h(ToastText, { toast, onClose: away }),
        duration: 0,
        placement: 'bottom',
        appendTo: '#over',
        onClose: away,
      })
      shown.set(toast.id, handler)
    }
    for (const [id, handler] of shown) {
      if (now.some((toast) => toast.id === id)) continue
      shown.delete(id)
      handler.close()
    }
  })
}
