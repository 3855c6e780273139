<script setup lang="ts">
import { computed } from 'vue'
import type { Weights } from '../../../ship/weigh.ts'

/** What a page is made of: a bar and its figures, in kB. */
const props = defineProps<{ weights: Weights }>()
const PARTS: [keyof Weights, string, string][] = [
  ['table', 'table', 'var(--table-light)'],
  ['pictures', 'pictures and sounds', 'var(--lagoon)'],
  ['words', 'words', 'var(--apricot)'],
  ['type', 'type', 'var(--saffron)'],
  ['game', 'the game itself', '#b9ad95'],
]
const all = computed(() => Object.values(props.weights).reduce((sum, bytes) => sum + bytes, 0))
const parts = computed(() =>
  PARTS.map(([key, name, colour]) => ({ name, colour, bytes: props.weights[key] })).filter(
    ({ bytes }) => bytes > 0,
  ),
)
</script>

<template>
  <div>
    <div class="bar keeps-colours" aria-hidden="true">
      <span
        v-for="{ name, colour, bytes } in parts"
        :key="name"
        :style="{ width: `${(100 * bytes) / all}%`, background: colour }"
      />
    </div>
    <ul>
      <li v-for="{ name, colour, bytes } in parts" :key="name">
        <i class="keeps-colours" :style="{ background: colour }" aria-hidden="true" />{{ name }}
        {{ Math.ceil(bytes / 1024) }} kB
      </li>
    </ul>
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  height: 10px;
  border-radius: 5px;
  overflow: hidden;
}
ul {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  margin: 6px 0 0;
  padding: 0;
  color: var(--ink-soft);
  font-size: 14px;
  list-style: none;
}
i {
  display: inline-block;
  width: 9px;
  height: 9px;
  margin-right: 6px;
  border-radius: 3px;
}
</style>
