<script setup lang="ts" generic="S extends Section">
import type { WritableComputedRef } from 'vue'
import type { Section, Settings } from '../../../core/settings/settings.ts'
import NumberWord from './NumberWord.vue'
import OwnTab from './OwnTab.vue'
import { useSetting } from './useSetting.ts'

/** A number of the open rung's settings, with its "own" tab. */
const props = defineProps<{ section: S; name: keyof Settings[S] & string }>()
const { words, value } = useSetting(
  () => props.section,
  () => props.name,
)
// only numbers have a clause of this kind
const number = value as unknown as WritableComputedRef<number>
</script>

<template>
  <span class="setting" :data-setting="`${section}.${name}`"
    ><NumberWord v-model="number" :label="words.label" :bounds="words.bounds!" :unit="words.unit" /><OwnTab
      :section="section"
      :names="[name]"
  /></span>
</template>

<style scoped>
.setting {
  white-space: nowrap;
}
</style>
