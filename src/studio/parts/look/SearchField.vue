<script setup lang="ts">
import { ElInput } from 'element-plus'
import IconSearch from '~icons/ph/magnifying-glass'

/** A field to search or filter by a word. `label` is for screen readers. */
const query = defineModel<string>({ required: true })
defineProps<{ label: string; placeholder: string }>()
</script>

<template>
  <ElInput
    v-model="query"
    class="search"
    type="search"
    :aria-label="label"
    :placeholder="placeholder"
    :prefix-icon="IconSearch"
  />
</template>

<style scoped>
.search {
  --el-input-height: 34px;
  width: 180px;
  min-width: 0;
}
</style>
