<script setup lang="ts">
import { nextTick, onBeforeUnmount, ref } from 'vue'
import SearchField from '../../parts/look/SearchField.vue'

/** Finds settings of the story by a word of their name; Enter goes from one to the next. `story` is the element that holds them. */
const props = defineProps<{ story: HTMLElement | undefined }>()
const query = ref('')
const count = ref<number | null>(null)
let found: HTMLElement[] = []
let at = -1

function mark(on: boolean): void {
  for (const element of found) element.toggleAttribute('data-found', on)
}
async function find(): Promise<void> {
  await nextTick()
  mark(false)
  const words = query.value.toLowerCase().split(/\s+/).filter(Boolean)
  const named = [
    ...(props.story?.querySelectorAll<HTMLElement>(
      ':is(li, .look) :is(input:not([type=file]), select)[aria-label]',
    ) ?? []),
  ]
  found = words.length
    ? named.filter((element) => words.every((word) => element.ariaLabel!.toLowerCase().includes(word)))
    : []
  at = -1
  count.value = words.length ? found.length : null
  mark(true)
  found[0]?.scrollIntoView({ block: 'nearest' })
}
function next(): void {
  if (!found.length) return
  at = (at + 1) % found.length
  found[at]!.focus()
}
onBeforeUnmount(() => mark(false))
</script>

<template>
  <span class="search">
    <SearchField
      v-model="query"
      label="Find a setting by word; Enter goes to it"
      placeholder="find a setting"
      @update:model-value="find"
      @keydown.enter="next"
    />
    <span class="soft" role="status">{{
      count === null ? '' : count === 0 ? 'No setting found' : `${count} found, Enter goes there`
    }}</span>
  </span>
</template>

<style scoped>
.search {
  display: flex;
  align-items: center;
  gap: 10px;
  font-size: 14px;
}
</style>
