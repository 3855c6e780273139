<script setup lang="ts">
import { computed } from 'vue'
import { countWords } from '../../../core/count-words.ts'
import { kilobytes } from '../../../ship/kilobytes.ts'

/** What is in a zip: its files with their sizes; those of one folder in one line. */
const props = defineProps<{ files: Record<string, Uint8Array> }>()
type FileGroup = { name: string; count: number; bytes: number }
const lines = computed(() => {
  const groups = new Map<string, FileGroup>()
  for (const [path, { length }] of Object.entries(props.files)) {
    const name = path.includes('/') ? path.replace(/[^/]*$/, '') : path
    const line = groups.get(name) ?? { name, count: 0, bytes: 0 }
    groups.set(name, { name, count: line.count + 1, bytes: line.bytes + length })
  }
  return [...groups.values()].sort((a, b) => (a.name < b.name ? -1 : 1))
})
</script>

<template>
  <ul class="files">
    <li v-for="{ name, count, bytes } in lines" :key="name">
      <code>{{ name }}</code>
      <span class="soft"
        >{{ name.endsWith('/') ? `${countWords(count, 'file')}, ` : '' }}{{ kilobytes(bytes) }}</span
      >
    </li>
  </ul>
</template>

<style scoped>
.files {
  columns: 2 220px;
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  break-inside: avoid;
  padding: 2px 0;
}
code {
  min-width: 0;
  overflow-wrap: anywhere;
  font-size: 14px;
}
.soft {
  flex: none;
}
</style>
