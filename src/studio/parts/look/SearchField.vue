<script setup lang="ts">
import IconSearch from '~icons/ph/magnifying-glass'

/** A field to search or filter by a word. `label` is for those who listen. */
const query = defineModel<string>({ required: true })
defineProps<{ label: string; placeholder: string }>()
</script>

<template>
  <label class="search">
    <IconSearch aria-hidden="true" />
    <input v-model="query" type="search" :aria-label="label" :placeholder="placeholder" />
  </label>
</template>

<style scoped>
.search {
  display: flex;
  align-items: center;
  gap: 8px;
  width: 180px;
  min-width: 0;
  height: 34px;
  padding: 0 10px;
  border: 1px solid var(--line);
  border-radius: var(--round);
  background: var(--card);
  color: var(--ink-soft);
}
.search:focus-within {
  border-color: var(--lagoon);
}
input {
  flex: 1;
  min-width: 0;
  border: 0;
  outline: 0;
  background: none;
  color: var(--ink);
  font: inherit;
}
input::placeholder {
  color: #6f6b7d;
}
</style>
