<script setup lang="ts">
import { computed } from 'vue'
import type { Section } from '../../../core/settings/settings.ts'
import { useBench } from '../../store/bench.ts'
import OwnTab from './OwnTab.vue'
import { settingWords, valueWords } from './setting-words.ts'

/**
 * What this level sets itself without effect, in words, each with its "own" tab: `names` are the keys that do nothing
 * now.
 */
const {
  section,
  names,
  tag = 'span',
} = defineProps<{
  section: Section
  names: readonly string[]
  tag?: 'span' | 'p'
}>()
const bench = useBench()
const idle = computed(() =>
  names
    .filter((name) => bench.owns(section, name))
    .map((name): [string, string] => {
      const value = valueWords(
        `${section}.${name}`,
        (bench.settings![section] as Record<string, unknown>)[name],
      )
      return [name, `${settingWords(section, name).label}: ${value}, without effect`]
    }),
)
</script>

<template>
  <component :is="tag" v-for="[name, words] in idle" :key="name" class="soft"
    >{{ ` ${words} ` }}<OwnTab :section="section" :names="[name]"
  /></component>
</template>

<style scoped>
p {
  margin: 0;
  padding: 4px 0;
  font-size: 14px;
}
</style>
