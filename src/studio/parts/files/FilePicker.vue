<script setup lang="ts">
import { ref } from 'vue'

/**
 * Asks for files: `choose()` opens the browser's own dialog. The same file can be chosen again. `take` gets at least
 * one file.
 */
defineProps<{ label: string; accept?: string; multiple?: boolean; folder?: boolean }>()
const emit = defineEmits<{ take: [files: [File, ...File[]]] }>()
const field = ref<HTMLInputElement>()
defineExpose({ choose: () => field.value!.click() })

function takeFiles(): void {
  const [first, ...others] = field.value!.files!
  if (!first) return
  emit('take', [first, ...others])
  field.value!.value = ''
}
</script>

<template>
  <input
    ref="field"
    class="hidden-text"
    type="file"
    :accept="accept"
    :multiple="multiple || folder"
    :webkitdirectory="folder"
    tabindex="-1"
    :aria-label="label"
    @change="takeFiles"
  />
</template>
