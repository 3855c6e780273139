<script setup lang="ts" generic="S extends Section">
import { computed } from 'vue'
import type { Section, Settings } from '../../../core/settings/settings.ts'
import ChoiceWord from './ChoiceWord.vue'
import OwnTab from './OwnTab.vue'
import { useSetting } from './useSetting.ts'

/** A choice of the open rung's settings, with its "own" tab. Yes and no have the values 'true' and 'false'. */
const props = defineProps<{ section: S; name: keyof Settings[S] & string }>()
const { words, value } = useSetting(
  () => props.section,
  () => props.name,
)
const text = computed({
  get: () => String(value.value),
  set: (next) =>
    (value.value = (
      next === 'true' ? true : next === 'false' ? false : next
    ) as Settings[S][keyof Settings[S] & string]),
})
</script>

<template>
  <span class="setting" :data-setting="`${section}.${name}`"
    ><ChoiceWord v-model="text" :label="words.label" :choices="words.choices!" /><OwnTab
      :section="section"
      :names="[name]"
  /></span>
</template>

<style scoped>
.setting {
  white-space: nowrap;
}
</style>
