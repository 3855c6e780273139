<script setup lang="ts" generic="T extends string | number">
import { ElOption, ElSelect } from 'element-plus'
import { computed, h } from 'vue'

/** A choice in a sentence: a menu that looks like one of its words. */
const props = defineProps<{
  modelValue: T
  label: string
  choices: readonly (readonly [T, string])[]
  disabled?: boolean
}>()
defineEmits<{ 'update:modelValue': [value: T] }>()
/** a small arrow that points down */
const IconOpen = () =>
  h('svg', { viewBox: '0 0 10 6', width: 9, height: 6, 'aria-hidden': true }, [
    h('path', { d: 'M1 1h8L5 5z', fill: 'currentColor' }),
  ])
const words = computed(() => props.choices.find(([value]) => value === props.modelValue)?.[1] ?? '')
</script>

<template>
  <span class="choice-word">
    <ElSelect
      :model-value="modelValue"
      :aria-label="`${label}: ${words}`"
      :data-tip="label"
      :disabled="disabled"
      :empty-values="[null, undefined]"
      :suffix-icon="IconOpen"
      :show-arrow="false"
      :fit-input-width="false"
      :persistent="false"
      append-to="#over"
      placement="bottom-start"
      @update:model-value="$emit('update:modelValue', $event)"
    >
      <template #label>{{ words }}</template>
      <ElOption v-for="[value, name] in choices" :key="value" :value="value" :label="name" />
    </ElSelect>
  </span>
</template>

<style scoped>
.choice-word {
  display: inline-block;
  max-width: 100%;
  vertical-align: baseline;
}
.choice-word :deep(.el-select) {
  width: auto;
  max-width: 100%;
  vertical-align: baseline;
}
.choice-word :deep(.el-select__wrapper) {
  gap: 4px;
  min-height: 0;
  padding: 0 3px 1px 2px;
  border-bottom: 2px dotted var(--lagoon);
  border-radius: 4px 4px 0 0;
  background: none;
  box-shadow: none;
  font: inherit;
  font-weight: 700;
  line-height: 1.4;
}
.choice-word :deep(.el-select__wrapper:hover) {
  background: var(--lagoon-pale);
}
.choice-word :deep(.el-select__wrapper.is-focused) {
  outline: 2px solid var(--lagoon);
}
.choice-word :deep(.el-select__placeholder) {
  position: static;
  width: auto;
  color: inherit;
  transform: none;
}
.choice-word :deep(.el-select__caret) {
  width: 9px;
  color: var(--lagoon);
}
</style>
