<script setup lang="ts">
import { ElInput, type InputInstance } from 'element-plus'
import { nextTick, ref, watch } from 'vue'

/**
 * A line of text: `change` when it is finished (Enter, or leaving the field), `typing` with each character. Escape
 * reverts it.
 */
const props = defineProps<{ modelValue: string; label: string; placeholder?: string; maxlength?: number }>()
const emit = defineEmits<{ change: [text: string]; typing: [text: string] }>()
const draft = ref('')
const field = ref<InputInstance>()
defineExpose({ focus: () => field.value?.focus() })
const show = (): void => void (draft.value = props.modelValue)
watch(() => props.modelValue, show, { immediate: true })

async function finish(): Promise<void> {
  emit('change', draft.value.trim())
  // a text that was refused or tidied is replaced by the stored one
  await nextTick()
  show()
}
const leave = (event: Event | KeyboardEvent): void => (event.target as HTMLInputElement).blur()
</script>

<template>
  <ElInput
    ref="field"
    v-model="draft"
    class="text-field"
    autocomplete="off"
    :aria-label="label"
    :placeholder="placeholder"
    :maxlength="maxlength"
    @input="emit('typing', $event)"
    @change="finish"
    @keydown.enter="leave"
    @keydown.esc="show"
  />
</template>

<style scoped>
.text-field {
  --el-input-height: 34px;
  min-width: 0;
}
</style>
