<script setup lang="ts">
import { useTemplateRef } from 'vue'

/** A frame that nobody sees, which is printed as soon as it has a page; then it is empty again. */
const html = defineModel<string>({ required: true })
const frame = useTemplateRef<HTMLIFrameElement>('frame')

async function print(): Promise<void> {
  const inside = frame.value!.contentWindow!
  await inside.document.fonts.ready
  inside.addEventListener('afterprint', () => (html.value = ''), { once: true })
  inside.print()
}
</script>

<template>
  <iframe
    v-if="html"
    ref="frame"
    class="print"
    :srcdoc="html"
    title="Printing"
    aria-hidden="true"
    tabindex="-1"
    @load="print"
  />
</template>

<style scoped>
.print {
  position: fixed;
  left: -10000px;
  width: 210mm;
  height: 297mm;
  border: 0;
}
</style>
