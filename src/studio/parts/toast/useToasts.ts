import { computed, ref } from 'vue'

export type Toast = {
  id: number
  text: string
  tone: 'plain' | 'wrong'
  act?: { label: string; run: () => void }
  /** a later message about the same takes its place */
  about?: string
  /** whether the message still holds; always, if missing */
  isValid?: () => boolean
}

const list = ref<Toast[]>([])
const toasts = computed(() => list.value.filter(({ isValid }) => isValid?.() ?? true))
let next = 0

/** Short messages at the bottom: what was done, with undo; or what went wrong, and where. */
export function useToasts() {
  function say(text: string, options: Partial<Pick<Toast, 'tone' | 'act' | 'isValid' | 'about'>> = {}): void {
    const toast: Toast = { id: ++next, text, tone: 'plain', ...options }
    const others = list.value.filter(({ about }) => !about || about !== toast.about)
    list.value = [...others, toast].slice(-3)
    setTimeout(() => close(toast.id), toast.tone === 'wrong' ? 20_000 : 9_000)
  }
  function close(id: number): void {
    list.value = list.value.filter((toast) => toast.id !== id)
  }
  return { toasts, say, close }
}
