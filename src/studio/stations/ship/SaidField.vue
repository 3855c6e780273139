<script setup lang="ts">
import { ref, watch } from 'vue'
import { directionOf, languageName, type Language } from '../../../core/texts/languages.ts'
import LinesField from '../../parts/settings/LinesField.vue'

/**
 * One text in one language: what the game says its own way, over what is said without it. `change` when it is finished.
 */
const props = defineProps<{
  modelValue: string
  language: Language
  before: string
  what: string
  longest: number
}>()
const emit = defineEmits<{ change: [text: string] }>()
const draft = ref('')
const show = (): void => void (draft.value = props.modelValue)
watch(() => props.modelValue, show, { immediate: true })
function finish(): void {
  const text = draft.value.trim()
  draft.value = text
  if (text !== props.modelValue) emit('change', text)
}
</script>

<template>
  <LinesField
    v-model="draft"
    class="said"
    :lang="language"
    :dir="directionOf(language)"
    :placeholder="before"
    :maxlength="longest"
    :aria-label="`${what}, ${languageName(language)}`"
    @change="finish"
    @keydown.esc="show"
    @keydown.enter.prevent="($event.target as HTMLElement).blur()"
  />
</template>

<style scoped>
/* a row of a table, not a field of a form */
.said {
  margin: 0;
}
.said :deep(textarea) {
  min-height: 32px;
  padding: 4px 6px;
  border-radius: 4px;
  background: none;
  box-shadow: none;
  font-weight: 600;
  line-height: 1.4;
}
.said :deep(textarea::placeholder) {
  font-weight: 400;
}
.said :deep(textarea:hover) {
  background: var(--paper);
}
.said :deep(textarea:focus) {
  background: #fff;
  box-shadow: 0 0 0 2px var(--lagoon);
}
</style>
