<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import OwnTab from '../../parts/settings/OwnTab.vue'
import { settingWords, valueWords } from '../../parts/settings/setting-words.ts'
import { useBench } from '../../store/bench.ts'
import { keysOf, type ClauseName } from './clauses.ts'
import { useClauses } from './useClauses.ts'

/** A clause of the story, read only where it says something; what a level says itself that is not in its sentence can be given back after it. */
const props = defineProps<{ name: ClauseName }>()
const { reads, hidden } = useClauses()
const bench = useBench()
const section = computed(() => keysOf(props.name)[0])
/** what the level says itself without effect, in words, by its key */
const idle = computed(() =>
  hidden(props.name)
    .filter((key) => bench.owns(section.value, key as never))
    .map((key): [string, string] => {
      const { label } = settingWords(section.value, key as never)
      const value = valueWords(`${section.value}.${key}`, bench.settings![section.value][key as never])
      return [key, `${label}: ${value}, without effect`]
    }),
)
const place = ref<HTMLElement>()

// a clause that is taken back from within leaves the cursor where it can be put in again
watch(
  () => reads(props.name),
  async (reading) => {
    const paragraph = place.value?.closest('li, p')
    if (reading || !place.value?.contains(document.activeElement)) return
    await nextTick()
    paragraph?.querySelector<HTMLElement>('[data-and]')?.focus()
  },
)
</script>

<template>
  <span v-if="reads(name)" ref="place" :data-clause="name"
    ><slot /><span v-for="[key, words] in idle" :key="key" class="soft"
      >{{ ` ${words} ` }}<OwnTab :section="section" :names="[key]" /></span
    >{{ ' ' }}</span
  >
</template>
