<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { ElTooltip } from 'element-plus'
import { ref, shallowRef } from 'vue'

/**
 * The one tooltip of the app: it explains whatever has `data-tip` when the pointer rests there or it has the focus.
 * Presses go through it.
 */
const REST = 450
const at = shallowRef<HTMLElement>()
const text = ref('')
const visible = ref(false)
let timer = 0

const withTip = ({ target }: Event): HTMLElement | null =>
  target instanceof Element ? target.closest<HTMLElement>('[data-tip]') : null

function show(element: HTMLElement): void {
  const { tip } = element.dataset
  if (!tip || !element.isConnected) return
  at.value = element
  text.value = tip
  visible.value = true
}
function hide(): void {
  clearTimeout(timer)
  visible.value = false
}

useEventListener(document, 'pointerover', (event) => {
  const element = withTip(event)
  if (event.pointerType === 'touch' || (visible.value && element === at.value)) return
  hide()
  if (element) timer = window.setTimeout(() => show(element), REST)
})
useEventListener(document, 'focusin', (event) => {
  hide()
  const element = withTip(event)
  if (element && (event.target as Element).matches(':focus-visible')) show(element)
})
useEventListener(document, ['focusout', 'pointerdown'], hide)
useEventListener(document, 'scroll', hide, { capture: true, passive: true })
useEventListener(document, 'keydown', hide)
</script>

<template>
  <ElTooltip
    :visible="visible"
    :virtual-ref="at"
    virtual-triggering
    :content="text"
    :persistent="false"
    :show-after="0"
    :popper-style="{ pointerEvents: 'none' }"
    append-to="#over"
    placement="top"
    effect="dark"
  />
</template>
