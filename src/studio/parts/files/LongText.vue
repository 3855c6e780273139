<script setup lang="ts">
import { ElButton, ElInput } from 'element-plus'
import { computed } from 'vue'

/** A field for pasted text. A long one, or that of a long file, stays out of it: to show it would hold up the page. */
defineOptions({ inheritAttrs: false })
defineProps<{ label: string; placeholder: string; rows: number }>()
const text = defineModel<string>({ required: true })
/** the file that it was read from; empty for pasted text */
const name = defineModel<string>('name', { required: true })
/** in letters, 64 kB at most */
const TOO_LONG_TO_EDIT = 50_000
const isLong = computed(() => text.value.length > TOO_LONG_TO_EDIT)
function empty(): void {
  text.value = name.value = ''
}
</script>

<template>
  <p v-if="isLong" class="long">
    {{ name || 'The text' }}, {{ text.length.toLocaleString('en') }} characters
    <ElButton class="btn" @click="empty">Type instead</ElButton>
  </p>
  <ElInput
    v-else
    v-model="text"
    v-bind="$attrs"
    type="textarea"
    :rows="rows"
    :aria-label="label"
    :placeholder="placeholder"
    spellcheck="false"
    autofocus
  />
</template>

<style scoped>
.long {
  display: flex;
  align-items: center;
  gap: 12px;
  margin: 10px 0;
}
</style>
