<script setup lang="ts" generic="T extends string">
/** A choice made in place, in words: a native menu that looks like a part of the sentence. */
defineProps<{ modelValue: T; label: string; choices: readonly (readonly [T, string])[] }>()
defineEmits<{ 'update:modelValue': [value: T] }>()
</script>

<template>
  <span class="choice-word">
    <select
      :value="modelValue"
      :aria-label="label"
      :title="label"
      @change="$emit('update:modelValue', ($event.target as HTMLSelectElement).value as T)"
    >
      <option v-for="[value, words] in choices" :key="value" :value="value">{{ words }}</option>
    </select>
  </span>
</template>

<style scoped>
select {
  max-width: 100%;
  padding: 0 16px 1px 2px;
  border: 0;
  border-bottom: 2px dotted var(--lagoon);
  border-radius: 4px 4px 0 0;
  background: url("data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 10 6'%3E%3Cpath d='M1 1h8L5 5z' fill='%231f7f80'/%3E%3C/svg%3E")
    right 3px center / 9px 6px no-repeat;
  color: inherit;
  font: inherit;
  font-weight: 700;
  line-height: 1.4;
  appearance: none;
  field-sizing: content;
  cursor: pointer;
}
select:hover {
  background-color: var(--lagoon-pale);
}
option {
  font-weight: 500;
}
</style>
