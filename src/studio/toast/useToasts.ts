import { ref } from 'vue'

export type Toast = {
  id: number
  text: string
  tone: 'plain' | 'wrong'
  act?: { label: string; run: () => void }
}

const toasts = ref<Toast[]>([])
let next = 0

/** Short messages at the lower edge: what was done, with a way back; or what went wrong, and where. */
export function useToasts() {
  function say(text: string, options: Partial<Pick<Toast, 'tone' | 'act'>> = {}): void {
    const toast: Toast = { id: ++next, text, tone: options.tone ?? 'plain', act: options.act }
    toasts.value = [...toasts.value, toast].slice(-3)
    setTimeout(() => close(toast.id), toast.tone === 'wrong' ? 20_000 : 9_000)
  }
  function close(id: number): void {
    toasts.value = toasts.value.filter((toast) => toast.id !== id)
  }
  return { toasts, say, close }
}
